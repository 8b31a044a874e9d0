import { expect, test, type Page } from '@playwright/test'
import { answerOf, expectAccessible, goTo } from './bench-hand.ts'

/** The demo's teeth of one bike, on a day of their own: the demo's weather goes by the date, and its wear with it. */
async function teethOf(page: Page, bike: string): Promise<void> {
  await page.clock.setSystemTime('2026-11-26T12:00:00Z')
  await page.goto('/demo/')
  await expect(answerOf(page)).toBeVisible()
  await page.keyboard.press('b')
  await page.getByRole('menuitem', { name: bike }).click()
  await goTo(page, 'Teeth')
}
const rowOf = (page: Page, cog: number) =>
  page
    .getByRole('list', { name: 'Cogs, rings and pulleys' })
    .getByRole('button', { name: new RegExp(`^${cog} `) })

test('a cassette that no tool condemned: the road says which cogs a fresh chain skips on, and the old one runs', async ({
  page,
}) => {
  await teethOf(page, 'Kite')
  await expect(answerOf(page)).toContainText('A fresh chain will probably skip on the 13 and 15.')
  await expect(answerOf(page)).toContainText('Replace those cogs, or keep the old chain.')
  await expectAccessible(page)

  // Another chain is another question, answered at once.
  await expect(rowOf(page, 15)).toContainText(/skips: about \d in \d/)
  await page.getByRole('radio', { name: /^the one on it/ }).click()
  await expect(rowOf(page, 15)).toContainText('skips: less than 1 in 100')
  await expect(answerOf(page)).toContainText('The chain that is on runs on all cogs.')
  await page.getByRole('radio', { name: 'a fresh one' }).click()

  await rowOf(page, 15).click()
  const checks = page.getByRole('region', { name: 'Checks' })
  await expect(checks).toContainText('The ride counts more: the tool misses 4 in 10 bad cogs.')
  await expect(checks.getByRole('link', { name: /cog 15 on a ride: slipped/ })).toHaveCount(2)

  // What was found speaks on every screen.
  await goTo(page, 'Decide')
  await expect(
    page.getByText(/A fresh chain will probably skip on the 13 and 15 under a hard push/),
  ).toBeVisible()

  // The swap is warned of before it is saved.
  await page.goto('/demo/shelf#chain')
  await expect(
    page.getByText(/A fresh chain will probably skip on the 13 and 15 .*keep the old chain/),
  ).toBeVisible()
})

test('match a cog by eye, say what the tool and the road found, and take it back', async ({ page }) => {
  await teethOf(page, 'Heron')
  await expect(answerOf(page)).toContainText('A fresh chain will run on all cogs.')
  const before = (await rowOf(page, 17).textContent()) ?? ''
  await rowOf(page, 17).click()
  const checks = page.getByRole('region', { name: 'Checks' })
  await checks.getByRole('slider', { name: 'How worn it looks' }).fill('0.9')
  await expect(checks.getByRole('slider')).toHaveAttribute('aria-valuetext', 'spent')
  await checks.getByRole('button', { name: 'Less worn' }).click()
  await checks.getByRole('button', { name: 'Less worn' }).click()
  await checks.getByRole('button', { name: 'It looks like that' }).click()
  await expect(page.getByText('cog 17: swap.', { exact: true })).toBeVisible()
  await expect(checks.getByRole('radio', { name: 'swap' })).toBeChecked()
  await checks.getByRole('button', { name: 'It skipped on a ride' }).click()
  await checks.getByRole('button', { name: 'The tool condemned it' }).click()
  await expect(checks.getByRole('link', { name: /cog 17 by cog-check tool: slipped/ })).toBeVisible()
  await expect(rowOf(page, 17)).toContainText('by road, eye, tool and ride')
  await expect(rowOf(page, 17)).not.toContainText(/skips: (1 in [3-9]0|less)/)

  for (let i = 0; i < 3; i++) {
    await answerOf(page).click()
    await page.keyboard.press('u')
  }
  await expect(rowOf(page, 17)).toHaveText(before)
})

test('a ring is gone all the way round: where it is worn most is tapped on it, and kept with the word', async ({
  page,
}) => {
  await teethOf(page, 'Kite')
  await page.getByRole('button', { name: /^ring 38/ }).click()
  const checks = page.getByRole('region', { name: 'Checks' })
  await checks.getByRole('radio', { name: '9 o’clock' }).check()
  await checks.getByRole('radio', { name: 'swap' }).click()
  await expect(page.getByText('ring 38: swap.', { exact: true })).toBeVisible()
  const found = checks.getByRole('link', { name: /Ring 38.*: swap, most at 9 o’clock from the crank arm/ })
  await expect(found).toBeVisible()
  await expectAccessible(page)

  // It can be put right like everything else.
  await found.click()
  await page.getByLabel(/^Worn most/).selectOption('12 o’clock')
  await page.getByRole('button', { name: 'Save correction' }).click()
  await page.getByRole('button', { name: /^ring 38/ }).click()
  await expect(checks.getByRole('link', { name: /swap, most at 12 o’clock/ })).toBeVisible()
  await expect(checks.getByRole('radio', { name: '12 o’clock' })).toBeChecked()
})

test('a test on the road is offered last, with its caution, and can be switched off for good', async ({
  page,
}) => {
  await teethOf(page, 'Plover')
  await expect(answerOf(page)).toContainText('skip on')
  const checks = page.getByRole('region', { name: 'Checks' })
  await checks.getByText('Last of all: a test on the road').click()
  await expect(checks.getByText(/never standing/)).toBeVisible()
  await checks.getByRole('button', { name: 'Never offer this again' }).click()
  await expect(checks.getByText('Last of all: a test on the road')).toHaveCount(0)
  await page.reload()
  await expect(checks.getByText('Road tests are not offered.')).toBeVisible()
  await expect(checks.getByText('Last of all: a test on the road')).toHaveCount(0)
})

test('photograph a cog, lay the outline by hand, count it and keep it, beside the eye, the tool and the road', async ({
  page,
}) => {
  await teethOf(page, 'Kite')
  const checks = page.getByRole('region', { name: 'Checks' })
  const choose = checks.getByLabel('Choose a picture')

  // A picture of another cog, and a file that is none.
  await rowOf(page, 13).click()
  await choose.setInputFiles('public/pictures/photo-cog-15.jpg')
  const sheet = page.getByRole('dialog', { name: 'A picture of cog 13' })
  await expect(sheet.getByRole('alert')).toContainText('I count 15 teeth here; cog 13 has 13.')
  await sheet.getByRole('button', { name: 'Close' }).click()
  await choose.setInputFiles({ name: 'cog.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(sheet.getByRole('alert')).toContainText('no picture that the browser can open')
  await sheet.getByRole('button', { name: 'Close' }).click()

  await rowOf(page, 15).click()
  const seen = checks.getByRole('link', { name: /cog 15 in a picture/ })
  await expect(seen).toHaveCount(2)
  await choose.setInputFiles('public/pictures/photo-cog-15.jpg')
  const own = page.getByRole('dialog', { name: 'A picture of cog 15' })
  await expect(own.getByText(/^The valleys are 0\.[5-8]\d mm wider than new, give or take/)).toBeVisible()
  await expect(own).toContainText('15 of 15 teeth seen, 2 shift aids left out')
  await expectAccessible(page)

  // By hand: a nudge, and it is measured anew.
  await own.getByRole('button', { name: 'Lay the outline by hand' }).click()
  await own.getByRole('button', { name: 'Centre: move it' }).press('Shift+ArrowRight')
  await expect(own.getByText(/^The valleys are 0\.[5-8]\d mm wider than new, give or take/)).toBeVisible()

  await own.getByRole('checkbox', { name: /Keep the part of the picture/ }).check()
  await own.getByRole('button', { name: 'Count it' }).click()
  await expect(own).toBeHidden()
  await expect(seen).toHaveCount(3)
  await expect(rowOf(page, 15)).toContainText('by road, eye, picture, tool and ride')
  await expect(answerOf(page)).toContainText('A fresh chain will probably skip on the 13 and 15.')

  // Two pictures at one scale, one drawn over the other.
  await expect(checks.getByRole('img', { name: /^cog 15, / })).toHaveCount(2)
  await checks.getByRole('slider', { name: 'From the left picture to the right one' }).fill('20')
  await expectAccessible(page)
  await checks.getByRole('button', { name: 'Delete the picture on the right for good' }).click()
  await expect(checks.getByRole('combobox', { name: 'Right' }).getByRole('option')).toHaveCount(2)
  await expect(seen).toHaveCount(3)
})

import { expect, test, type Page } from '@playwright/test'
import { addBike, answerOf, expectAccessible, goTo } from './bench-hand.ts'

/** Goes to School by its keys. */
async function goToSchool(page: Page): Promise<void> {
  await page.keyboard.press('g')
  await page.keyboard.press('k')
  await expect(page).toHaveTitle('School · Jolt Mile')
  await expect(page.getByRole('list', { name: 'Lessons' })).toBeVisible()
}

/** Reads one made-up chain with the scale gauge, put on rightly, and reads it too high. */
async function readTooHigh(page: Page): Promise<void> {
  await page.getByRole('radio', { name: 'big ring, big cog, held tight' }).check()
  await page.getByRole('button', { name: 'Ten links on' }).click()
  await page.getByLabel('You read, %').fill('1.6')
  await page.getByRole('button', { name: 'That is my reading' }).click()
  await expect(page.getByText(/^It is .* long\./)).toBeVisible()
}

test('lessons measure how a rider reads, and correct the next reading once the rider says so', async ({
  page,
}) => {
  await addBike(page)
  await goTo(page, 'Gauge')
  await page.getByRole('radio', { name: 'three-contact scale' }).check()
  await page.getByLabel('On the scale, %', { exact: true }).fill('0.6')
  await page.getByRole('button', { name: 'Save the reading' }).click()
  const readings = page.getByRole('region', { name: 'Readings' })
  await expect(readings).toContainText('0.60')

  await goToSchool(page)
  await expect(answerOf(page)).toContainText('Practise first: reading the three-contact scale')
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Start a lesson' }).click()
  await expectAccessible(page)
  for (let i = 0; i < 4; i++) {
    await readTooHigh(page)
    if (i === 0) await expectAccessible(page)
    await page.getByRole('button', { name: i < 3 ? 'Another one' : 'Enough for now' }).click()
  }
  await expect(page.getByRole('list', { name: 'How you read' })).toContainText('too high')
  await goTo(page, 'Gauge')
  await expect(readings).toContainText('0.60')
  await goToSchool(page)
  const use = page.getByRole('checkbox', { name: /Use it for my readings/ })
  await use.click()
  await expect(use).toBeChecked()
  await goTo(page, 'Gauge')
  await expect(readings).toContainText('by your lessons')
  await expect(readings).not.toContainText('0.60 ±')
})

test('teeth, skipping and swapping on a phone, each with the truth behind it', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/school?lesson=teeth')
  await page.getByRole('group', { name: 'Your word' }).getByRole('button', { name: 'watch' }).click()
  await expect(page.getByText(/Its teeth have shaped themselves to/)).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Enough for now' }).click()

  await page.getByRole('button', { name: 'Practise Will it skip?' }).click()
  await page.getByRole('button', { name: 'It skips: new cogs with it' }).click()
  await expect(page.getByText(/It skipped in \d+ of 100 futures/)).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Enough for now' }).click()

  await page.getByRole('button', { name: 'Practise Swap or ride on?' }).click()
  await page.getByRole('button', { name: 'Run it all to the end' }).click()
  await expect(page.getByRole('img', { name: /per 1000 km on average/ })).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Enough for now' }).click()
  await expect(page.getByRole('list', { name: 'Lessons' })).toContainText('1 lesson')
})

test('a rule is slid to the pin by keyboard, and read through the lens', async ({ page }) => {
  await page.goto('/school?lesson=gauge+rule')
  const bench = page.getByRole('slider', { name: 'Where on the chain it is put' })
  await bench.focus()
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowRight')
  await expect(bench).toHaveAttribute('aria-valuetext', '5 links from the joining link')
  await page.getByRole('radio', { name: 'big ring, big cog, held tight' }).check()
  const slide = page.getByRole('slider', { name: /Slide it until its zero/ })
  await slide.focus()
  await page.keyboard.press('Home')
  // From 1.5 mm on one side, in steps of 0.05.
  for (let i = 0; i < 30; i++) await page.keyboard.press('ArrowRight')
  await expect(slide).toHaveAttribute('aria-valuetext', 'at the edge')
  await page.getByLabel('Length you read, mm').fill('306.5')
  await page.getByRole('button', { name: 'That is my reading' }).click()
  await expect(page.getByText(/^It is .* long\./)).toBeVisible()
  await expect(page.getByText('The joining link was under it.')).toHaveCount(0)
})

import { readFileSync } from 'node:fs'
import { expect, test, type Locator, type Page } from '@playwright/test'
import { addBike, answerOf, expectAccessible, goTo } from './bench-hand.ts'

const DAY = new Date('2026-11-26T12:00:00Z')

/** Opens the demo on its day with a bike. */
async function openDemo(page: Page, bike: string): Promise<void> {
  await page.clock.setSystemTime(DAY)
  await page.goto('/demo/')
  await expect(answerOf(page)).toBeVisible()
  await page.keyboard.press('b')
  await page.getByRole('menuitem', { name: bike }).click()
}

/** Goes to Checks by its keys. */
async function goToChecks(page: Page): Promise<void> {
  await page.keyboard.press('g')
  await page.keyboard.press('c')
  await expect(page).toHaveTitle('Checks · Jolt Mile')
  await expect(page.getByRole('list', { name: 'Sheets' })).toBeVisible()
}

/** Taps something that is saved before it shows. */
async function tap(choice: Locator): Promise<void> {
  await choice.click()
  await expect(choice).toBeChecked()
}

/** How many things are to go, as the round says. */
async function toGo(page: Page): Promise<number> {
  const text = (await page.getByText(/things? to go, about/).textContent()) ?? ''
  return Number(/(\d+) things? to go/.exec(text)?.[1] ?? 0)
}

test('the monthly round by keyboard: a crack stops the bike, and reaches Today, the job and the owner’s sheet', async ({
  page,
}) => {
  await openDemo(page, 'Heron')
  await goToChecks(page)
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText('One strand loose at the clamp.')
  await expectAccessible(page)
  const sheets = page.getByRole('list', { name: 'Sheets' })
  await expect(sheets).not.toContainText('Electric bike')
  await sheets.getByRole('button', { name: 'Start Monthly round' }).focus()
  await page.keyboard.press('Enter')
  await expect(answerOf(page)).toHaveText('Axle, rear')
  await expectAccessible(page)

  // Discs, a gear cable, tubes: no rim pads, no sealant, no motor, no suspension.
  await page.getByText('All of the round:').click()
  const all = page.getByRole('list', { name: 'All of the round' })
  await expect(all).toContainText('Disc pads, rear')
  for (const absent of ['Rim brake pads', 'Braking rim', 'Sealant', 'Motor', 'Suspension'])
    await expect(all).not.toContainText(absent)

  let left = await toGo(page)
  expect(left).toBeGreaterThan(30)
  while (left > 0) {
    const item = await answerOf(page).textContent()
    if (item === 'Fork') {
      await page.keyboard.press('3')
      await page.getByLabel('A word about it').fill('A line in the paint at the crown.')
      await page.keyboard.press('Enter')
    } else await page.keyboard.press('1')
    await expect(answerOf(page)).not.toHaveText(item ?? '')
    left = left === 1 ? 0 : await toGo(page)
  }
  await expect(answerOf(page)).toHaveText('Heron: Do not ride it: fork.')
  await expect(page.getByText(/Stop riding until a qualified mechanic has looked/)).toBeVisible()
  await expect(page.getByRole('list', { name: 'Findings' })).toContainText(
    'A line in the paint at the crown.',
  )

  await goTo(page, 'Today')
  const lines = page.getByRole('list', { name: 'Bikes' }).getByRole('listitem')
  await expect(lines.filter({ hasText: 'Heron' })).toContainText('Do not ride it: fork.', { timeout: 90_000 })
  await expect(answerOf(page)).toContainText('Start with Heron. Do not ride it: fork.', { timeout: 90_000 })

  await page.goto('/demo/decide?job')
  const job = page.getByRole('row', { name: /Fork.*A line in the paint/ })
  await expect(job).toContainText('safety', { timeout: 90_000 })
  await page.getByRole('button', { name: 'Write the owner’s sheet' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('checkbox', { name: /Fork/ }).uncheck()
  await sheet.getByRole('button', { name: 'Save the sheet' }).click()
  await expect(page.getByRole('region', { name: 'What was found' })).toContainText(
    'Fork: Failed the check. A line in the paint at the crown.',
  )
  await expect(page.getByRole('region', { name: 'Not done, and why' })).toContainText('Fork')
  await expect(page.getByRole('region', { name: 'Take care' })).toContainText(
    'Stop riding until a qualified mechanic',
  )
})

test('the monthly round by thumb on a phone; left half done it waits; pads, a finding seen to, the calendar', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openDemo(page, 'Kite')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('menuitem', { name: /Checks/ }).click()
  await page.getByRole('button', { name: 'Start Monthly round' }).click()
  await expect(answerOf(page)).toHaveText('Axle, rear')
  const pass = page.getByRole('button', { name: 'Pass' })
  const box = await pass.boundingBox()
  expect(box?.height ?? 0).toBeGreaterThanOrEqual(48)
  await expectAccessible(page)

  for (let left = await toGo(page); left > 0; left = left === 1 ? 0 : await toGo(page)) {
    const item = (await answerOf(page).textContent()) ?? ''
    if (item === 'Disc pads, rear') {
      const form = page.getByRole('form', { name: 'Disc pads, rear' })
      await form.getByLabel('Measured, mm').fill('3.3')
      await form.getByRole('button', { name: 'Save' }).click()
      await expect(form).toContainText('at its limit in about')
    }
    if (item === 'Saddle and its clamp') {
      await page.getByRole('button', { name: 'Leave it half done: it waits' }).click()
      await expect(answerOf(page)).toContainText('half done')
      await page.reload()
      await page.getByRole('button', { name: 'Go on Monthly round' }).click()
      await expect(answerOf(page)).toHaveText(item)
    }
    await pass.click()
    await expect(answerOf(page)).not.toHaveText(item)
  }
  await expect(page.getByRole('list', { name: 'What wears' })).toContainText('Disc pads, rear')

  await goTo(page, 'Today')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a calendar file' }).click()
  const calendar = readFileSync(await (await download).path(), 'utf8').replace(/\r\n[ \t]/g, '')
  expect(calendar).toContain('Kite: measure: disc pads\\, front')
  expect(calendar).toMatch(/at its limit in about .* probably/)
})

test('a bike of one’s own: what it has, ten minutes, a bolt, and no check that does not fit', async ({
  page,
}) => {
  await addBike(page)
  await goToChecks(page)
  await expect(page.getByText('Not all of it is entered')).toBeVisible()
  for (const name of ['discs', 'fluid', 'sealant, no tubes', 'through axles'])
    await tap(page.getByRole('radio', { name, exact: true }))
  await tap(page.getByRole('group', { name: 'Suspension' }).getByRole('radio', { name: 'no' }))
  await tap(page.getByRole('group', { name: 'Carbon parts' }).getByRole('radio', { name: 'yes' }))
  await expect(page.getByText('It decides which checks there are.')).toBeVisible()

  const short = page.getByRole('region', { name: 'I have 10 minutes' })
  await expect(short).toContainText('front brake')
  await expect(short).not.toContainText('rim brake pads')
  await page.getByRole('radio', { name: '5 min', exact: true }).check()
  await page.getByRole('button', { name: 'Start these' }).click()
  await expect(page.getByRole('group', { name: 'How is it' })).toBeVisible()
  const first = await answerOf(page).textContent()
  await page.keyboard.press('4')
  await expect(answerOf(page)).not.toHaveText(first ?? '')
  await page.getByRole('button', { name: 'End the round here' }).click()
  await expect(page.getByText('Answered “not here” and left out:')).toBeVisible()

  const book = page.getByRole('region', { name: 'Torque book' })
  await book.getByRole('button', { name: 'Start with the usual bolts' }).click()
  await expect(book.getByRole('list', { name: 'Torque book' })).toContainText('carbon paste')
  await book.getByRole('radio', { name: 'in lbf' }).check()
  await expect(book.getByRole('list', { name: 'Torque book' })).toContainText('44 in lbf')
  await book.getByRole('button', { name: 'It was loose Pulley bolts' }).click()
  await expect(book.getByRole('list', { name: 'Torque book' })).toContainText('it was loose')
  await page.keyboard.press('u')
  await expect(book.getByRole('list', { name: 'Torque book' })).not.toContainText('it was loose')
})

import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { addBike, answerOf, asFile, expectAccessible, goTo } from './bench-hand.ts'

const OTHERS = 'cases/rides/by-others'
const other = (...names: string[]): string[] => names.map((name) => `${OTHERS}/${name}`)
const drop = (page: Page, files: readonly string[]): Promise<void> =>
  page.getByLabel('Ride files').setInputFiles([...files])
const asked = (page: Page) => page.getByRole('region', { name: 'Questions about these rides' })

test('what other recorders write: the questions are answered by keyboard, and the receipt is read', async ({
  page,
}) => {
  await addBike(page, '2026-01-01')
  await goTo(page, 'Miles')
  // All of them were written at one moment: each of those that are told from another gets a day of its own.
  const onDay = (name: string, day: number) =>
    asFile(name, readFileSync(`${OTHERS}/${name}`, 'utf8').replaceAll('2026-03-09', `2026-03-${day}`))
  const packed = (name: string) => ({
    name,
    mimeType: 'application/octet-stream',
    buffer: readFileSync(`${OTHERS}/${name}`),
  })
  await page
    .getByLabel('Ride files')
    .setInputFiles([
      onDay('01a-cadence-every-3s.gpx', 10),
      onDay('04a-type-running.gpx', 11),
      onDay('05c-one-spike.tcx', 12),
      onDay('08a-one-NaN-point.gpx', 13),
      onDay('08f-year-2099.gpx', 14),
      onDay('08i-power-65535.gpx', 15),
      packed('04e-triathlon.fit'),
      packed('08j-week-rollover.gpx'),
      packed('09e-password.zip'),
    ])

  await test.step('other sports and days that cannot be are asked about, and left out unless somebody says otherwise', async () => {
    await expect(asked(page)).toContainText('was recorded as “running”')
    await expect(asked(page)).toContainText('was recorded as “swimming”')
    await expect(asked(page)).toContainText('in the future: the device’s clock was wrong')
    await expect(asked(page)).toContainText('it may have been 2026-03-09')
    const lost = asked(page).getByRole('group', { name: /08j-week-rollover/ })
    await expect(lost.getByRole('radio', { name: 'Leave out' })).toBeChecked()
    await lost.getByRole('radio', { name: 'Leave out' }).focus()
    await page.keyboard.press('ArrowRight')
    await expect(lost.getByRole('radio', { name: 'It was 2026-03-09' })).toBeChecked()
    await expectAccessible(page)
  })

  await test.step('what cannot be used is said before anything goes in', async () => {
    await expect(page.getByText(/worth a look before they go in: listed first/)).toBeVisible()
    await expect(page.getByText('The archive is locked with a password.', { exact: false })).toBeVisible()
    await expect(page.getByText(/1 point of .* left out/).first()).toBeVisible()
    await expect(page.getByText(/figures of power or cadence that no rider has, left out/)).toBeVisible()
    await expect(page.getByText(/device’s own distance jumps as no bike does/).first()).toBeVisible()
    await expect(page.getByText(/^Adds .* to Chain 1: .* of wear distance\.$/)).toBeVisible()
  })

  await test.step('the receipt stays after they are in, and can be opened from the log', async () => {
    await page.getByRole('button', { name: /^Add \d+ rides/ }).click()
    const receipt = page.getByRole('region', { name: 'What was added' })
    await expect(receipt.getByText(/^\d+ rides added\.$/)).toBeVisible()
    await receipt.getByText('Where each figure comes from').click()
    await expect(receipt.getByText('The device wrote 2006-07-24 for its day.')).toBeVisible()
    await receipt.getByRole('button', { name: 'Hide this' }).click()
    await expect(receipt).toBeHidden()
    await page.goto('/log')
    await page
      .getByRole('button', { name: /^Open: .*km/ })
      .first()
      .click()
    await expect(
      page.getByRole('dialog').getByRole('region', { name: 'Where its figures come from' }),
    ).toContainText('Distance:')
  })
})

test('tables: two rides of a day are two, and what could be read in two ways is shown where it matters', async ({
  page,
}) => {
  await addBike(page, '2026-01-01')
  await goTo(page, 'Miles')
  await test.step('a commuter, there and back', async () => {
    await drop(page, other('02b-there-and-back-without-durations.csv'))
    await page.getByRole('button', { name: 'Read 2 rides' }).click()
    await expect(asked(page)).toContainText('line 3: the same as a row above it')
    await page.getByRole('button', { name: /^Add 2 rides, 16/ }).click()
    await expect(answerOf(page)).toContainText('16')
  })
  await test.step('decimals', async () => {
    await drop(page, other('07d-three-decimals.csv'))
    await expect(page.getByText('Look at this one: it could also be read as 1250.')).toBeVisible()
    await expectAccessible(page)
    await page.getByLabel('Decimals after').selectOption('point')
    await expect(page.getByText('Look at this one: it could also be read as 1.25.')).toBeVisible()
    await page.getByRole('button', { name: 'Leave this table' }).click()
    await page.getByRole('button', { name: 'Go back' }).click()
  })
  await test.step('a table of points with days that could be months', async () => {
    await drop(page, other('03c-slashed-day-first.csv'))
    await expect(page.getByRole('button', { name: 'Read the ride' })).toBeDisabled()
    await page.getByRole('radio', { name: 'day, month, year' }).check()
    await page.getByRole('button', { name: 'Read the ride' }).click()
    await page.getByRole('button', { name: /^Add 1 ride,/ }).click()
    await expect(page.getByRole('region', { name: 'Rides', exact: true }).getByRole('listitem')).toHaveCount(
      3,
    )
  })
})

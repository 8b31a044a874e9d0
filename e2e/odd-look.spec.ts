import { expect, test, type Page } from '@playwright/test'
import type { EntryDraft } from '../src/core/log/entries.ts'
import { lengthAtElongation } from '../src/core/measure/elongation.ts'
import { writeBackup } from '../src/formats/write-backup.ts'
import { commuter, noon, ride, written } from '../test/log.ts'
import { answerOf, asBackup, expectAccessible, goTo, workedOut } from './bench-hand.ts'

const caliper = (month: number, percent: number): EntryDraft => {
  const length = lengthAtElongation(8, percent)
  return {
    kind: 'reading',
    at: noon(month, 28),
    chain: 'chain',
    reading: { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 },
  }
}

/** Half a year of 500 km a month, the chain read at the end of each. */
async function bringIn(page: Page, read: readonly number[]): Promise<void> {
  const drafts = read.flatMap((percent, i) => [
    ...[3, 9, 15, 21, 27].map((day) => ride(i + 1, day, 100)),
    caliper(i + 1, percent),
  ])
  const backup = writeBackup(written([...commuter, ...drafts]), noon(7, 1), [])
  await page.goto('/files')
  await page.getByLabel('Backup file').setInputFiles(asBackup('half-a-year.json', backup))
  await expect(page.getByText(/came in new from half-a-year/)).toBeVisible()
  await goTo(page, 'Gauge')
  await workedOut(page)
}
const question = (page: Page) => page.getByRole('region', { name: 'Not what was expected' })

test('a swap that nobody wrote down is found at its date, written there, and taken back', async ({
  page,
}) => {
  await bringIn(page, [0.085, 0.17, 0.255, 0.03, 0.11, 0.2])
  await expect(question(page)).toContainText('The reading of 28 April says about')
  await expect(question(page)).toContainText(
    'Was a fresh chain fitted between 28 March and 28 April that is not in the log?',
  )
  await expectAccessible(page)
  await goTo(page, 'Decide')
  await expect(page.getByText('the question about it, on Gauge, is open')).toBeVisible()
  await goTo(page, 'Gauge')
  await question(page).getByLabel('Fitted on, about').fill('2026-05-30')
  await question(page).getByRole('button', { name: 'Log the swap' }).click()
  await expect(question(page).getByRole('alert')).toContainText('from 28 March to 28 April')
  await question(page).getByLabel('Fitted on, about').fill('2026-04-02')
  await question(page).getByRole('button', { name: 'Log the swap' }).click()
  await expect(
    page.getByText('Chain 1 came off; what was measured since belongs to the fresh chain.', { exact: true }),
  ).toBeVisible()
  await expect(question(page)).toHaveCount(0)
  await expect(page.getByRole('checkbox', { name: /caliper, 8 pitches/ })).toHaveCount(3)
  await answerOf(page).click()
  await page.keyboard.press('u')
  await expect(page.getByRole('checkbox', { name: /caliper, 8 pitches/ })).toHaveCount(6)
  await expect(question(page)).toBeVisible()
})

test('a swap waits for an answer where the answers differ, and the answer is taken', async ({ page }) => {
  await bringIn(page, [0.085, 0.17, 0.255, 0.62])
  await expect(answerOf(page)).toContainText('Answer one question first.')
  await page.getByRole('button', { name: 'Answer it' }).click()
  await expect(question(page)).toBeFocused()
  await expect(question(page)).toContainText('past its limit')
  await question(page).getByRole('button', { name: 'It is all right' }).click()
  await expect(question(page)).toHaveCount(0)
  await workedOut(page)
  await expect(answerOf(page)).toContainText('Swap it')
  await page.keyboard.press('u')
  await expect(question(page)).toBeVisible()
})

test('a misread look says so in the list, and leaves nothing behind once it is left out', async ({
  page,
}) => {
  await bringIn(page, [0.085, 0.17, 0.255, 1.3, 0.42, 0.5])
  const misread = page.getByRole('region', { name: 'Readings' }).getByText('almost certainly misread')
  await expect(misread).toHaveCount(1)
  await expect(page.getByText('A mark struck through was probably misread')).toBeVisible()
  await expectAccessible(page)
  await page.goto('/shelf')
  await page.getByRole('button', { name: /^History of Chain/ }).click()
  await expect(page.getByRole('dialog').getByText('almost certainly misread')).toHaveCount(1)
  await page.keyboard.press('Escape')
  await goTo(page, 'Gauge')
  await page
    .getByRole('checkbox', { name: /caliper, 8 pitches/ })
    .nth(2)
    .click()
  await workedOut(page)
  await expect(misread).toHaveCount(0)
  await expect(question(page)).toHaveCount(0)
})

test('a gauge that reads too high is found out by a second tool', async ({ page }) => {
  const gauge = (month: number, percent: number): EntryDraft => ({
    kind: 'reading',
    at: noon(month, 28),
    chain: 'chain',
    reading: { instrument: 'two-contact-scale', percent },
  })
  const rides = [1, 2, 3].flatMap((month) => [3, 9, 15, 21, 27].map((day) => ride(month, day, 100)))
  const gauged = [0.52, 0.6, 0.68].map((percent, i) => gauge(i + 1, percent))
  const backup = writeBackup(written([...commuter, ...rides, ...gauged]), noon(7, 1), [])
  await page.goto('/files')
  await page.getByLabel('Backup file').setInputFiles(asBackup('one-gauge.json', backup))
  await expect(page.getByText(/came in new from one-gauge/)).toBeVisible()
  await goTo(page, 'Gauge')
  await workedOut(page)
  await expect(page.getByText(/No other tool has checked this one yet/)).toBeVisible()
  const second = [0.26, 0.24].map((percent): EntryDraft => ({ ...caliper(3, percent), at: noon(3, 29) }))
  const more = writeBackup(written([...commuter, ...rides, ...gauged, ...second]), noon(7, 1), [])
  await page.goto('/files')
  await page.getByLabel('Backup file').setInputFiles(asBackup('two-tools.json', more))
  await expect(page.getByText(/came in new from two-tools/)).toBeVisible()
  await goTo(page, 'Gauge')
  await workedOut(page)
  await expect(page.getByText(/No other tool has checked this one yet/)).toHaveCount(0)
  await expect(answerOf(page)).toContainText('Swap it in about')
})

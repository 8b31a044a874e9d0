import { readFileSync } from 'node:fs'
import { expect, test, type Download, type Page } from '@playwright/test'
import { strFromU8, unzipSync } from 'fflate'
import { addBike, answerOf, asBackup, expectAccessible, goTo, goToFiles, workedOut } from './bench-hand.ts'

test.setTimeout(240_000)

const DEMO_DAY = '2026-11-26T12:00:00Z'

const savedBy = async (page: Page, press: () => Promise<void>): Promise<Download> => {
  const [file] = await Promise.all([page.waitForEvent('download', { timeout: 120_000 }), press()])
  return file
}
const bytesOf = async (file: Download): Promise<Buffer> => readFileSync(await file.path())

test('everything goes out as a data package, with today’s forecasts in it', async ({ page }) => {
  await page.clock.setSystemTime(DEMO_DAY)
  await page.goto('/demo/files')
  const file = await savedBy(page, () => page.getByRole('button', { name: 'Save the data package' }).click())
  expect(file.suggestedFilename()).toBe('jolt-mile-data-demo-2026-11-26.zip')
  const files = unzipSync(await bytesOf(file))
  const about = JSON.parse(strFromU8(files['datapackage.json'] ?? new Uint8Array())) as {
    resources: { name: string }[]
  }
  expect(about.resources.map(({ name }) => name)).toContain('forecasts')
  const forecasts = strFromU8(files['data/forecasts.csv'] ?? new Uint8Array())
    .trim()
    .split('\r\n')
  expect(forecasts).toHaveLength(6)
  // Heron's chain with a figure for how worn it is.
  expect(forecasts.find((row) => row.startsWith('heron'))).toMatch(/,0\.\d+,0\.\d+,0\.\d+,/)
  expect(Object.keys(files).some((name) => name.startsWith('pictures/'))).toBe(true)
  await expect(page.getByText(/^Saved: \d+/)).toBeVisible()
})

test('a chart goes out as SVG and PNG, a road as PNG, a table as CSV', async ({ page }) => {
  await page.clock.setSystemTime(DEMO_DAY)
  await page.goto('/demo/decide')
  await expect(answerOf(page)).toBeVisible()
  await workedOut(page)
  await expect(page.getByText('the numbers').first()).toBeVisible({ timeout: 60_000 })
  const sheet = page.getByRole('dialog', { name: 'Save drawings and tables' })
  // A chart is in the list once it is drawn.
  await expect(async () => {
    if (await sheet.isVisible()) await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'More' }).click()
    await page.getByRole('menuitem', { name: 'Save drawings and tables' }).click()
    await expect(sheet.getByRole('button', { name: /^SVG: After/ })).toBeVisible({ timeout: 2000 })
  }).toPass({ timeout: 60_000 })
  const svg = await savedBy(page, () => sheet.getByRole('button', { name: /^SVG: After/ }).click())
  const drawing = (await bytesOf(svg)).toString()
  expect(drawing).toMatch(/^<svg[^>]+xmlns/)
  // It opens elsewhere: every program that reads SVG reads it as XML.
  expect(
    await page.evaluate(
      (text) => new DOMParser().parseFromString(text, 'image/svg+xml').querySelectorAll('parsererror').length,
      drawing,
    ),
  ).toBe(0)
  const png = await savedBy(page, () => sheet.getByRole('button', { name: /^PNG: After/ }).click())
  expect([...(await bytesOf(png)).subarray(1, 4)].map((byte) => String.fromCharCode(byte)).join('')).toBe(
    'PNG',
  )
  const csv = await savedBy(page, () => sheet.getByRole('button', { name: /^CSV:/ }).first().click())
  expect((await bytesOf(csv)).toString().split('\r\n').length).toBeGreaterThan(2)
})

test('a second-hand bike comes with its past: its record out of one log and into another', async ({
  page,
}) => {
  await page.clock.setSystemTime(DEMO_DAY)
  await page.goto('/demo/files')
  await page.getByLabel('Record of').selectOption('Quarry')
  const record = await savedBy(page, () => page.getByRole('button', { name: 'Save the record' }).click())
  await expect(page.getByText(/entries of Quarry\. Whoever gets the file/)).toBeVisible()
  const text = (await bytesOf(record)).toString()
  expect(text).not.toContain('"lat"')
  await expect(page.getByRole('button', { name: 'Its sheet as PDF' })).toBeEnabled({ timeout: 60_000 })
  const sheet = await savedBy(page, () => page.getByRole('button', { name: 'Its sheet as PDF' }).click())
  expect((await bytesOf(sheet)).subarray(0, 5).toString()).toBe('%PDF-')

  await page.goto('/files')
  await page.getByLabel('Backup file').setInputFiles({
    name: record.suggestedFilename(),
    mimeType: 'application/json',
    buffer: Buffer.from(text),
  })
  // The record is of a demo bike, and this is one's own log: it is asked about first.
  await page.getByRole('button', { name: 'Bring it in anyway' }).click()
  await expect(page.getByText(/entries came in new from jolt-mile-quarry/)).toBeVisible()
  await goTo(page, 'Gauge')
  await expect(answerOf(page)).toContainText(/0\.\d\d\s%/, { timeout: 90_000 })
  // The same file a second time brings nothing.
  await goToFiles(page)
  await page.getByLabel('Backup file').setInputFiles({
    name: record.suggestedFilename(),
    mimeType: 'application/json',
    buffer: Buffer.from(text),
  })
  await page.getByRole('button', { name: 'Bring it in anyway' }).click()
  await expect(page.getByText(/^0 entries came in new/)).toBeVisible()
})

test('a chain changes hands: its record alone brings what it has done, and it waits on the shelf', async ({
  page,
}) => {
  await page.clock.setSystemTime(DEMO_DAY)
  await page.goto('/demo/files')
  await page.getByLabel('Record of').selectOption('Chain A2 of Quarry')
  await expect(page.getByRole('button', { name: 'Its sheet as PDF' })).toHaveCount(0)
  const saveRecord = () => savedBy(page, () => page.getByRole('button', { name: 'Save the record' }).click())
  // Unless its owner says otherwise, no name that somebody typed goes along.
  const nameless = (await bytesOf(await saveRecord())).toString()
  expect(nameless).toContain('"name":"Chain"')
  expect(nameless).not.toContain('Chain A2')
  await page.getByRole('checkbox', { name: 'Leave out names, places and notes' }).uncheck()
  const record = await saveRecord()
  expect(record.suggestedFilename()).toBe('jolt-mile-chain-a2-of-quarry-2026-11-26.json')
  const text = (await bytesOf(record)).toString()
  // Where it was and whose bike that is stays behind.
  expect(text).not.toMatch(/"kind":\s?"(bike|fit|ride)"/)

  await addBike(page)
  await goToFiles(page)
  await page.getByLabel('Backup file').setInputFiles(asBackup(record.suggestedFilename(), text))
  // The record is of a demo bike, and this is one's own log: it is asked about first.
  await page.getByRole('button', { name: 'Bring it in anyway' }).click()
  await expect(page.getByText(/^7 entries came in new/)).toBeVisible()
  await page.goto('/shelf')
  const spare = page
    .getByRole('region', { name: 'Not on it' })
    .getByRole('listitem')
    .filter({ hasText: 'Chain A2' })
  await expect(spare).toContainText('spare')
  await expect(spare).toContainText(/after 1\s061\s?km before it came/)
  // Tern has seven cogs and this chain is made for twelve: it is not offered for it.
  await expect(page.getByRole('combobox', { name: 'Chain', exact: true })).not.toContainText('Chain A2')
  await expectAccessible(page)
})

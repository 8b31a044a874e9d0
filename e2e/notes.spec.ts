import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { zipSync } from 'fflate'
import { madeXlsx, xlsxParts } from '../test/made-xlsx.ts'
import { answerOf, expectAccessible, goTo } from './bench-hand.ts'

test.setTimeout(180_000)

const NEW = 'a new bike: 11 or more cogs'

async function opens(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('link', { name: 'Bring in notes' }).click()
  await expect(page.getByRole('heading', { name: 'Bring in notes from a spreadsheet.' })).toBeVisible()
}

async function adds(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Add them to the log' }).click()
  await expect(page.getByRole('heading', { name: /came in\.$/ })).toBeVisible()
}

test('years of a diary, pasted: two questions, one press, a forecast, and one undo takes it back', async ({
  page,
}) => {
  await opens(page)
  await page.getByLabel('Cells of the spreadsheet').fill(readFileSync('test/notes/gauge-diary.csv', 'utf8'))
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByLabel('Yes beside the gauge means')).toHaveValue('drops')
  await page.getByLabel('The gauge has').selectOption('two contacts: it spreads two rollers apart')
  await page.getByLabel('The notes are about', { exact: true }).selectOption(NEW)
  await page.getByLabel('Its name').fill('Tern')
  await expect(
    page.getByRole('heading', {
      name: '10 rows: 1 new bike, 20 readings, 10 distances, 2 chains, 2 washes and 4 notes.',
    }),
  ).toBeVisible()
  await expect(page.getByRole('region', { name: 'Rows', exact: true })).toContainText(
    'Chain 1 fitted to Tern',
  )
  await expectAccessible(page)
  await page.setViewportSize({ width: 390, height: 844 })
  await expectAccessible(page)
  await page.setViewportSize({ width: 1280, height: 800 })
  await adds(page)
  await page.getByRole('link', { name: 'See what it says' }).click()
  // The forecast: past 0.5 on the 0.5 side, and a distance to the limit or a swap.
  await expect(page.getByRole('heading', { name: 'Tern' })).toBeVisible()
  await goTo(page, 'Gauge')
  await expect(answerOf(page)).toContainText(/0\.\d\d\s%/, { timeout: 90_000 })

  // The same diary, a row longer: only that row comes in, and nothing is asked again.
  await page.goto('/files?notes')
  await page
    .getByLabel('Cells of the spreadsheet')
    .fill(`${readFileSync('test/notes/gauge-diary.csv', 'utf8')}12.10.2025;21.000,0;"0,5 ja, 0,75 ja";\n`)
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByRole('heading', { name: '11 rows: 2 readings and 1 distance.' })).toBeVisible()
  await adds(page)
  await page.keyboard.press('u')
  await page.keyboard.press('u')
  await goTo(page, 'Today')
  await expect(page.getByText('No bike yet.')).toBeVisible()
})

test('a workshop’s file in miles and inches: what is not clear is marked by its line', async ({ page }) => {
  await opens(page)
  await page.getByLabel('Spreadsheet file').setInputFiles('test/notes/two-bikes.tsv')
  await page.getByLabel('Days are written as').selectOption('month, day, year')
  await page.getByLabel('“Blue tourer” is').selectOption(NEW)
  await page.getByLabel('“Grocery bike” is').selectOption('a new bike: 5 to 10 cogs')
  await page.getByRole('radio', { name: 'Not clear: 2' }).check()
  const rows = page.getByRole('region', { name: 'Rows', exact: true })
  await expect(rows).toContainText('“31/7/2025” is no day that can be read.')
  await expect(rows).toContainText('speaks of a part still to come')
  await adds(page)
  await page.getByRole('link', { name: 'See what it says' }).click()
  await expect(page.getByRole('heading', { name: /^Start with/ })).toBeVisible({ timeout: 90_000 })
})

test('a spreadsheet file with figures of elongation becomes a forecast', async ({ page }) => {
  await opens(page)
  const day = (month: number): Date => new Date(Date.UTC(2026, month, 4))
  await page.getByLabel('Spreadsheet file').setInputFiles({
    name: 'chains.xlsx',
    mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    buffer: Buffer.from(
      madeXlsx([
        ['Date', 'Odometer (km)', 'Chain stretch %', 'Remarks'],
        [day(1), 3000, 0.04, 'new chain'],
        [day(4), 4100, 0.19, ''],
        [day(7), 5300, 0.37, 'creaks'],
        [day(10), 6150, 0.5, ''],
      ]),
    ),
  })
  await page
    .getByLabel('The gauge has')
    .selectOption('three contacts: a third one takes the roller play away')
  await page.getByLabel('The notes are about', { exact: true }).selectOption(NEW)
  await adds(page)
  await page.getByRole('link', { name: 'See what it says' }).click()
  await expect(page.getByText(/probably 0\.\d\d to 0\.\d\d %/).first()).toBeVisible({ timeout: 90_000 })
})

test('a file that is no table says so, and nothing is changed', async ({ page }) => {
  await opens(page)
  await page.getByLabel('Spreadsheet file').setInputFiles({
    name: 'empty.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(''),
  })
  await expect(page.getByRole('alert')).toHaveText(/The file is empty.*Nothing was changed\./)
})

test('a spreadsheet file of twenty thousand rows is read and can be stopped; one with a cell in the last corner says so', async ({
  page,
}) => {
  await opens(page)
  const sheet = (name: string, bytes: Uint8Array) => ({
    name,
    mimeType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    buffer: Buffer.from(bytes),
  })
  const first = Date.UTC(1971, 0, 1)
  const long = madeXlsx([
    ['Date', 'Odometer (km)', 'Note'],
    ...Array.from({ length: 20_000 }, (_, i) => [new Date(first + i * 86_400_000), i * 5, `ride ${i}`]),
  ])
  await test.step('it is stopped', async () => {
    await page.getByLabel('Spreadsheet file').setInputFiles(sheet('years.xlsx', long))
    await page.getByRole('button', { name: 'Cancel' }).click()
    await expect(page.getByRole('alert')).toHaveText('Cancelled. Nothing was changed.')
  })
  await test.step('it is read', async () => {
    await page.getByLabel('Spreadsheet file').setInputFiles(sheet('years.xlsx', long))
    await expect(page.getByRole('region', { name: 'What the columns hold' })).toContainText('Odometer (km)')
    await page.getByRole('button', { name: 'Leave this table' }).click()
  })
  await test.step('one cell in the last corner', async () => {
    const corner = zipSync(xlsxParts('<row r="1048576"><c r="XFD1048576"><v>1</v></c></row>'))
    await page.getByLabel('Spreadsheet file').setInputFiles(sheet('corner.xlsx', corner))
    await expect(page.getByRole('alert')).toContainText('something in row 1')
    await expect(page.getByRole('alert')).toContainText('Nothing was changed.')
  })
})

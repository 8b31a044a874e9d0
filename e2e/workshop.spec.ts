import { expect, test, type Page } from '@playwright/test'
import { readWorkshopLog } from '../bench/samples.ts'
import { writeBackup } from '../src/formats/write-backup.ts'
import { asBackup, expectAccessible, goTo } from './bench-hand.ts'

test.setTimeout(240_000)

/** The first bikes of the workshop, with all that is about them. */
function someBikes(count: number): string {
  const bikes = new Set(Array.from({ length: count }, (_, i) => `bike-${i}`))
  const isOfThem = (entry: Readonly<Record<string, unknown>>): boolean =>
    [entry['bike'], entry['part'], entry['chain']].some(
      (id) => typeof id === 'string' && bikes.has(id.replace(/-chain-\d+$/, '')),
    )
  const entries = readWorkshopLog().filter((entry) => isOfThem(entry as unknown as Record<string, unknown>))
  return writeBackup(entries, '2026-11-26T12:00:00.000Z')
}

async function opened(page: Page): Promise<void> {
  await page.goto('/files')
  await page.getByLabel('Backup file').setInputFiles(asBackup('workshop.json', someBikes(26)))
  await expect(page.getByText(/came in new from workshop/)).toBeVisible({ timeout: 60_000 })
  await goTo(page, 'Today')
  await expect(page.getByRole('region', { name: 'Bikes', exact: true })).toBeVisible({ timeout: 60_000 })
}

test('a morning in a workshop: narrowed, grouped, several seen to in one go, the list on paper', async ({
  page,
}) => {
  await opened(page)
  const list = page.getByRole('region', { name: 'Bikes', exact: true })
  await page.getByLabel('Grouped by').selectOption('owner')
  await expect(list.getByRole('heading', { name: /^Bakery/ })).toBeVisible()
  await page.getByLabel('Find a bike, owner or rack').fill('bakery')
  await expect(list.getByRole('heading', { name: /^Ferry/ })).toHaveCount(0)

  // All of one owner, lubed at once.
  await list.getByRole('button', { name: 'Choose all of these' }).click()
  const bar = page.getByRole('region', { name: 'Chosen bikes' })
  await expect(bar).toContainText(/^\d+ bikes chosen/)
  await bar.getByLabel('Lube').selectOption('dry lube')
  await bar.getByRole('button', { name: /^Log it for/ }).click()
  await expect(page.getByText(/^\d+ bikes: wiped, dry lube\.$/).first()).toBeVisible()
  await expect(bar).toHaveCount(0)

  // One step, one undo.
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('u')
  await expect(page.getByText(/^Undone: \d+ washes or lubes\.$/).first()).toBeVisible()

  // Two of them are moved to another rack.
  await page.getByLabel('Find a bike, owner or rack').fill('')
  await list.getByRole('checkbox').nth(0).click()
  await list.getByRole('checkbox').nth(1).click()
  await bar.getByLabel('What to do').selectOption('set the rack or place')
  await bar.getByLabel('Rack or place').fill('Window')
  await bar.getByRole('button', { name: 'Log it for 2 bikes' }).click()
  await page.getByLabel('Grouped by').selectOption('rack or place')
  await page.getByLabel('Find a bike, owner or rack').fill('window')
  await expect(list.getByRole('heading', { name: 'Window 2' })).toBeVisible()

  const [paper] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'The list on paper (PDF)' }).click(),
  ])
  expect(paper.suggestedFilename()).toMatch(/^jolt-mile-day-.*\.pdf$/)
})

test('several chains are washed together: chosen on Today, planned as one wash', async ({ page }) => {
  await opened(page)
  const list = page.getByRole('region', { name: 'Bikes', exact: true })
  await list.getByRole('checkbox').nth(0).click()
  await list.getByRole('checkbox').nth(1).click()
  await page
    .getByRole('region', { name: 'Chosen bikes' })
    .getByRole('button', { name: 'Plan one wash for all' })
    .click()
  await expect(page).toHaveURL(/\/wash/)
  const plan = page.getByRole('region', { name: /^The next wash: .*Bike \d+/ })
  await expect(plan.getByRole('button', { name: /^Start the wash of Bike \d+ and Bike \d+/ })).toBeVisible()
  await expectAccessible(page)
})

test('the long list fits a phone and is in order', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await opened(page)
  await expectAccessible(page)
  const wide = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  )
  expect(wide).toBeLessThanOrEqual(0)
})

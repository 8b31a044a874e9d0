import { expect, test } from '@playwright/test'
import { answerOf } from './bench-hand.ts'

test('lubes, chains, bikes and parts of the year side by side, with what that does not show', async ({
  page,
}) => {
  await page.clock.setSystemTime('2026-11-26T12:00:00Z')
  await page.goto('/demo/compare')
  await expect(answerOf(page)).toContainText(/^\d+ chains: /, { timeout: 60_000 })
  await expect(page.getByRole('table', { name: /^Wear of lubes/ })).toContainText('wet lube')
  await expect(page.getByRole('list').filter({ hasText: 'Nobody drew lots' })).toBeVisible()

  await page.getByRole('radio', { name: 'Bikes' }).click()
  await expect(page.getByRole('table', { name: /^Wear of bikes/ })).toContainText('Heron')
  await page.getByRole('radio', { name: 'Parts of the year' }).click()
  await expect(page.getByRole('table', { name: /^Wear of parts of the year/ })).toContainText(
    'December to February',
  )
})

test('a log without two looks at a chain says what to do first', async ({ page }) => {
  await page.goto('/compare')
  await expect(page.getByText('No bike yet.')).toBeVisible()
})

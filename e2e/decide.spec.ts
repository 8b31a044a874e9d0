import { expect, test } from '@playwright/test'
import { answerOf, expectAccessible, goTo } from './bench-hand.ts'

test('what each plan costs on this bike, what would change it, and prices of one’s own', async ({ page }) => {
  test.setTimeout(120_000)
  await page.clock.setSystemTime(new Date('2026-11-26T12:00:00Z'))
  await page.goto('/demo/')
  await expect(answerOf(page)).toBeVisible()
  await page.keyboard.press('b')
  await page.getByRole('menuitem', { name: 'Kite' }).click()
  await goTo(page, 'Decide')
  const plans = page.getByRole('region', { name: /^Cheapest plan: / })
  await expect(plans).toBeVisible({ timeout: 90_000 })
  const rows = plans.getByRole('row')
  await expect(rows).toHaveCount(12)
  await expect(plans).toContainText(/Probably .* per 1000.km; skips under load: almost never/)
  await expect(plans.getByRole('img', { name: /^One life by this plan over/ })).toBeVisible()
  await expectAccessible(page)

  // A price moves all plans at once: an hour of work for 48 makes even the cheapest dearer by far.
  const cheapest = async (): Promise<number> =>
    Number(/€(\d+)/.exec((await rows.nth(1).textContent()) ?? '')?.[1] ?? NaN)
  const free = await cheapest()
  await expect(plans.getByText(/^A (chain|cassette) for (over|under)/).first()).toBeVisible()
  const minds = page.getByRole('region', { name: 'How much do you mind?' })
  await minds.getByRole('slider', { name: 'An hour of my time is worth' }).fill('4800')
  await expect.poll(cheapest).toBeGreaterThan(3 * free)
  await minds.getByRole('button', { name: 'Save what you mind' }).click()
  await expect(page.getByText('Prices saved.', { exact: true })).toBeVisible()
  // A price is typed, and one that is none is said and changes nothing.
  await plans.getByText('Prices', { exact: true }).click()
  const chain = plans.getByRole('textbox', { name: 'a chain, EUR' })
  await chain.fill('minus two')
  await expect(plans.getByRole('alert')).toContainText('is not a number')
  await chain.fill('21.50')
  await plans.getByRole('textbox', { name: 'Paste or drop a price list' }).fill('cassette; 41,90\nsaddle; 30')
  await expect(plans).toContainText('Line 2, “saddle, 30”: not one of the things')
  await plans.getByRole('button', { name: 'Take these prices over' }).click()
  await expect(page.getByText('1 price taken over.', { exact: true })).toBeVisible()
  await page.reload()
  await expect(plans).toBeVisible({ timeout: 90_000 })
  await expect(plans.getByText('Prices', { exact: true })).toBeVisible()
  const before = await plans.getByRole('row').nth(1).textContent()

  // Who does not mind a skip may go cheaper.
  await plans.getByRole('radio', { name: 'it must never skip' }).click()
  await expect(plans.getByRole('row').nth(1)).toHaveText(before ?? '')
  await plans.getByLabel('Draw one life of').selectOption('running it all out')
  await expect(
    plans.getByRole('heading', { name: /^One of these lives: running it all out, €/ }),
  ).toBeVisible()
  await page.setViewportSize({ width: 390, height: 844 })
  await expectAccessible(page)
})

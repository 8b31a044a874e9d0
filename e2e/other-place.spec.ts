import { expect, test } from '@playwright/test'
import { answerOf, expectAccessible, goTo } from './bench-hand.ts'

const DAY = '2026-11-26T12:00:00Z'

test.describe('in a browser that speaks German', () => {
  test.use({ locale: 'de-DE' })
  test('numbers have a comma, and another way of writing them is a tap away and kept', async ({ page }) => {
    await page.clock.setSystemTime(DAY)
    await page.goto('/demo/gauge')
    await expect(answerOf(page)).toContainText(/0,\d\d/)
    await expect(page.getByText('17 November', { exact: true }).first()).toBeVisible()

    await test.step('choose points and the year first', async () => {
      await page.getByRole('button', { name: 'More', exact: true }).click()
      await page.getByRole('menuitem', { name: 'Numbers and days' }).click()
      const sheet = page.getByRole('dialog', { name: 'Numbers, days and units' })
      await expect(sheet.getByRole('status')).toContainText(/Like this: 12.345.km, 6,4.km/)
      await expectAccessible(page)
      await sheet.getByText('12,345.6', { exact: true }).click()
      await sheet.getByText('2026-12-12', { exact: true }).click()
      await expect(sheet.getByRole('status')).toContainText(/Like this: 12,345.km, 6\.4.km, 2026-12-12\./)
      await page.keyboard.press('Escape')
    })
    await expect(answerOf(page)).toContainText(/0\.\d\d/)
    await expect(page.getByText('2026-11-17', { exact: true }).first()).toBeVisible()

    await test.step('they stay after a reload', async () => {
      await page.reload()
      await expect(answerOf(page)).toContainText(/0\.\d\d/)
    })
  })
})

test.describe('in a browser of the United States', () => {
  test.use({ locale: 'en-US' })
  test('distances are in miles, days begin with their month, sheets are set on Letter', async ({ page }) => {
    await page.clock.setSystemTime(DAY)
    await page.goto('/demo/')
    await expect(answerOf(page)).toContainText('Start with')
    await goTo(page, 'Miles')
    await expect(page.getByText('November 25', { exact: true }).first()).toBeVisible()
    await expect(answerOf(page)).toContainText(/\d.mi\b/)
    await expect(page.getByLabel('Paper')).toHaveValue('letter')
  })
})

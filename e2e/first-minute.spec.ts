import { expect, test } from '@playwright/test'
import { answerOf, expectAccessible } from './bench-hand.ts'

test('from an empty app to the first verdict in nine taps and keys, then kept with one', async ({ page }) => {
  await page.goto('/')
  let strokes = 0
  const tap = async (name: RegExp | string, role: 'link' | 'button' | 'radio'): Promise<void> => {
    strokes++
    const control = page.getByRole(role, { name })
    await (role === 'radio' ? control.check() : control.click())
  }
  await tap('Measure a chain now', 'link')
  await expect(answerOf(page)).toHaveText('Measure a chain now.')
  await expectAccessible(page)
  await tap('Show the answer', 'button')
  strokes = 1
  await expect(page.getByText('Pick the kind of drivetrain.')).toBeVisible()
  await expect(page.getByText('Read the length.')).toBeVisible()

  await page.getByLabel('Length, mm', { exact: true }).pressSequentially('307')
  strokes += 1 + 3
  await tap('11 or more cogs', 'radio')
  await tap('Show the answer', 'button')
  expect(strokes).toBeLessThanOrEqual(9)
  await expect(answerOf(page)).toContainText(/^Bike 1’s chain is at 0\.\d\d\u00a0%/)
  await expect(page.getByText(/The limit for this bike is 0\.5\u00a0%: narrow 11-speed chains/)).toBeVisible()
  await expect(page.getByText('What another reading would tell you')).toBeVisible()
  await expectAccessible(page)
  const said = await answerOf(page).textContent()

  await page.getByRole('button', { name: 'leave it' }).click()
  await expect(answerOf(page)).toHaveText('Measure a chain now.')
  await page.getByLabel('Length, mm', { exact: true }).fill('307')
  await page.getByRole('button', { name: 'Show the answer' }).click()
  await expect(answerOf(page)).toHaveText(said ?? '')

  await page.getByRole('button', { name: /^printed strip/ }).click()
  await page.getByLabel('Length, mm', { exact: true }).fill('255.2')
  await page.getByRole('button', { name: 'Add this reading' }).click()
  await expect(page.getByText(/^2 readings with rule and printed strip\./)).toBeVisible()
  await expect(answerOf(page)).toContainText(/chain is at 0\.\d\d/)
  await expect(answerOf(page)).not.toHaveText(said ?? '')
  const both = await answerOf(page).textContent()
  await page.getByRole('button', { name: 'Keep it as Bike 1' }).click()
  await expect(page.getByText(/^Bike 1 is in the log with 2\sreadings\.$/).first()).toBeVisible()
  await expect(answerOf(page)).toHaveText(both ?? '')
})

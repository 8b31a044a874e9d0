import { expect, test, type Page } from '@playwright/test'
import { answerOf, expectAccessible, goTo } from './bench-hand.ts'

/** The demo's wash of one bike, on a day and at a time of its own. */
async function washOf(page: Page, bike: string): Promise<void> {
  await page.clock.install({ time: new Date('2026-11-26T12:00:00Z') })
  await page.goto('/demo/')
  await expect(answerOf(page)).toBeVisible()
  await page.keyboard.press('b')
  await page.getByRole('menuitem', { name: bike }).click()
  await goTo(page, 'Wash')
}
const minutesOn = (page: Page, minutes: number) => page.clock.fastForward(minutes * 60_000)
const stepNow = (page: Page) => page.getByRole('heading', { level: 1 })

test('re-wax three chains and clean the bike: planned, run by its clocks, reloaded in the middle, and logged', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await washOf(page, 'Quarry')
  await page.getByLabel('How', { exact: true }).selectOption('re-wax')
  const others = page.getByRole('group', { name: 'Which chains?' }).getByRole('checkbox')
  await expect(others).toHaveCount(3)
  for (let i = 0; i < 3; i++) await others.nth(i).check()
  const plan = page.getByRole('region', { name: /^The next wash: re-wax/ })
  await expect(plan).toContainText(
    /102 minutes, 64 of them hands on\. One step after another it would be 179\./,
  )
  await expect(plan).toContainText('Hot wax burns and can catch fire')
  await expectAccessible(page)

  await page.getByRole('button', { name: 'Start the wash of Quarry' }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(stepNow(page)).toHaveText('Put the water on')
  await page.getByRole('button', { name: 'Done' }).click()
  const clocks = page.getByRole('list', { name: 'Clocks' })
  await expect(clocks).toContainText('the water heats')
  await expect(clocks.getByRole('timer')).toHaveText('6:00')
  await expectAccessible(page)

  // A step runs over; the clock goes on, and goes on through a reload too.
  await expect(stepNow(page)).toHaveText('Bike onto the stand')
  await minutesOn(page, 4)
  await expect(page.getByText(/3:0\d over/)).toBeVisible()
  await page.reload()
  await expect(stepNow(page)).toHaveText('Bike onto the stand')
  await expect(clocks.getByRole('timer')).toHaveText(/^(2:0\d|1:5\d)$/)
  await clocks.getByRole('button', { name: '1 min more' }).click()
  await expect(clocks.getByRole('timer')).toHaveText(/^(3:0\d|2:5\d)$/)

  // On through the steps, by the clocks.
  const next = page.getByRole('button', { name: /^(Done|Begin|Begin early)$/ })
  for (let tap = 0; tap < 120; tap++) {
    const heading = (await stepNow(page).textContent()) ?? ''
    if (heading.startsWith('Done in')) break
    if (
      heading.startsWith('Go through the chain') &&
      (await page.getByRole('button', { name: 'plate parting' }).isVisible())
    ) {
      await page.getByRole('button', { name: 'One on' }).click()
      await expect(page.getByText('link 2 of 114')).toBeVisible()
      await page.getByRole('button', { name: 'stiff link' }).click()
      await expect(page.getByText(/Flex it sideways/)).toBeVisible()
      await page.getByRole('button', { name: 'Save what was found' }).click()
      await expect(page.getByText('1 fault noted.', { exact: true })).toBeVisible()
    }
    if (heading.startsWith('Hands free') || (await next.isDisabled())) await minutesOn(page, 3)
    else await next.click()
  }
  await expect(stepNow(page)).toHaveText(/^Done in \d+ minutes\.$/)
  await expect(page.getByRole('main')).toContainText('Chain B2: cleaned off the bike, immersion wax')
  await page.getByRole('button', { name: 'Log the wash' }).click()
  await expect(page.getByText('Wash logged.', { exact: true })).toBeVisible()
  await expect(answerOf(page)).toContainText('good for about')
  await goTo(page, 'Today')
  await expect(answerOf(page)).toBeVisible()
})

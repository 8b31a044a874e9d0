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

  // The clock is in sight on every other station too, and rings there.
  await goTo(page, 'Miles')
  const goingOn = page.getByRole('region', { name: 'The wash that is going on' })
  await expect(goingOn.getByRole('timer')).toHaveText(/^Put the water on: [23]:\d\d$/)
  await minutesOn(page, 4)
  await expect(goingOn.getByRole('timer')).toHaveText('Put the water on: the wait is over')
  await expect(page).toHaveTitle(/^Put the water on: the wait is over · Miles/)
  await expectAccessible(page)
  await goingOn.getByRole('link', { name: 'Back to the wash' }).click()
  await expect(stepNow(page)).toHaveText('Bike onto the stand')
  await expect(goingOn).toBeHidden()

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
  // What was found speaks on the other screens, and the new wax does.
  await goTo(page, 'Decide')
  await expect(page.getByText(/Link 2: stiff link\. Flex it sideways/)).toBeVisible()
  await expect(page.getByText('The lube is fresh.')).toBeVisible()
})

test('a black chain and half an hour: which way and why, the kit, what is left out, and what taps teach', async ({
  page,
}) => {
  await washOf(page, 'Heron')
  const plan = page.getByRole('region', { name: /^The next wash/ })
  await page.getByRole('radio', { name: 'black' }).click()
  await expect(plan).toContainText('a black chain needs cleaning')
  await page.getByRole('radio', { name: '30 min' }).click()
  await expect(plan).toContainText(/: wipe and lube(30|[12]\d) minutes, \d+ of them hands on/)
  await expect(plan).toContainText(/Left out to fit: .*wash the frame/)
  await page.getByRole('radio', { name: 'as long as it takes' }).click()

  // No solvent: the kit says so once, and no way with solvent is suggested any more.
  await plan.getByText(/^What you have to wash with/).click()
  await plan.getByRole('checkbox', { name: 'no solvent near my chains' }).click()
  await expect(plan.getByRole('checkbox', { name: 'no solvent near my chains' })).toBeChecked()
  await expect(
    plan.getByRole('combobox', { name: 'How' }).getByRole('option', { name: /suggested/ }),
  ).not.toHaveText(/degrease|bath|full|strip/)
  await plan.getByRole('checkbox', { name: 'wipe and lube: my usual way' }).click()
  await expect(plan).toContainText(/it is your usual way/i)
  await plan.getByRole('combobox', { name: 'How' }).selectOption('degrease')
  await expect(plan).toContainText('It takes solvent near the chain, which you ruled out.')
  await expect(plan).toContainText('Some chain makers forbid solvents')

  // Rim brakes: nothing to shield.
  await expect(plan).toContainText('two bags to shield the rotors')
  await plan.getByRole('radio', { name: 'rim brakes' }).click()
  await expect(plan).not.toContainText('two bags to shield the rotors')
  await expectAccessible(page)

  // A rainy week or not: where it is asked for, the forecast says what it asks of the chain.
  await page.getByRole('button', { name: 'Ask for this week’s weather' }).click()
  await expect(page.getByText(/^Rain on \d of the next [78] days\. \S+/)).toBeVisible()

  const lube = page.getByRole('region', { name: 'How does the chain look and sound now?' })
  await lube.getByRole('radio', { name: 'squeaks' }).click()
  await lube.getByText(/^How long .* lasts on your chains/).click()
  await expect(lube).toContainText(/after 1 tap probably|A guess so far/)
})

test('a wash that was cleaned and not lubricated is not closed without a word; one left open for days is asked about', async ({
  page,
}) => {
  await washOf(page, 'Heron')
  await page.getByLabel('How', { exact: true }).selectOption('degrease')
  await page.getByRole('button', { name: 'Start the wash of Heron' }).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  for (let tap = 0; tap < 12; tap++) {
    if ((await stepNow(page).textContent()) === 'Wipe dry') break
    if (await page.getByRole('button', { name: 'Done' }).isVisible())
      await page.getByRole('button', { name: 'Done' }).click()
    else await minutesOn(page, 3)
  }
  await minutesOn(page, 2 * 24 * 60)
  await page.reload()
  await expect(stepNow(page)).toContainText('was begun 2 days ago and never ended')
  await expectAccessible(page)
  await page.getByRole('button', { name: /^End it/ }).click()
  await expect(page.getByText(/a bare chain wears about three times as fast/)).toBeVisible()
  const log = page.getByRole('button', { name: 'Log the wash' })
  await expect(log).toBeDisabled()
  await page.getByRole('checkbox', { name: 'It stays without lube for now' }).check()
  await log.click()
  await expect(page.getByText('Wash logged.', { exact: true })).toBeVisible()
  await expect(answerOf(page)).toContainText('chain is bare')
})

test('with gloves, on a phone: everything that is tapped while washing is 48 pixels high at least', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.clock.install({ time: new Date('2026-11-26T12:00:00Z') })
  await page.goto('/demo/wash')
  await page.getByLabel('How', { exact: true }).selectOption('wipe')
  await page.getByRole('button', { name: /^Start the wash of/ }).click()
  const main = page.getByRole('main')
  const tooLow = async (): Promise<string[]> => {
    const found: string[] = []
    for (const button of await main.getByRole('button').all()) {
      const box = await button.boundingBox()
      if (!box || box.height < 48 || box.width < 48) found.push((await button.textContent()) ?? '')
    }
    return found
  }
  await expect(main.getByRole('button', { name: 'Begin' })).toBeVisible()
  expect(await tooLow()).toEqual([])
  await main.getByRole('button', { name: 'Begin' }).click()
  await main.getByRole('button', { name: 'Done' }).click()
  await expect(main.getByRole('button', { name: 'Done' })).toBeVisible()
  expect(await tooLow()).toEqual([])
  await expectAccessible(page)
})

test('two bikes in one session: one pair of hands, one stand, and each chain in the log by what was done to it', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await washOf(page, 'Sparrow')
  await page.getByLabel('How', { exact: true }).selectOption('wipe')
  await page.getByLabel('Wash another bike along with it').selectOption('Kite')
  const along = page.getByRole('region', { name: 'Along with it: Kite' })
  await along.getByLabel('How', { exact: true }).selectOption('drip')
  const plan = page.getByRole('region', { name: 'The next wash: wipe and lube, Kite drip lube only' })
  await expect(plan).toContainText(
    /\d+ minutes, \d+ of them hands on\. One step after another it would be \d+\./,
  )
  // Kite has a motor, and Sparrow has none.
  await plan.getByText('The steps as a list').click()
  await expect(plan.getByRole('list', { name: 'Steps' })).toContainText('Power off, battery out, Kite')
  await expect(plan).toContainText(/Sparrow: 106 drops.*Kite: 122 drops/)
  await expectAccessible(page)

  await page.getByRole('button', { name: 'Start the wash of Sparrow and Kite' }).click()
  await expect(page.getByText(/^Sparrow and Kite, done at about/)).toBeVisible()
  const next = page.getByRole('button', { name: /^(Done|Begin|Begin early)$/ })
  for (let tap = 0; tap < 80; tap++) {
    const heading = (await stepNow(page).textContent()) ?? ''
    if (heading.startsWith('Done in')) break
    if (heading.startsWith('Hands free')) await minutesOn(page, 3)
    else await next.click()
  }
  const main = page.getByRole('main')
  await expect(stepNow(page)).toHaveText(/^Done in \d+ minutes\.$/)
  await expect(main).toContainText('Wide chain of Sparrow: wiped, wet lube')
  await expect(main).toContainText('Chain 3 of Kite: wiped')
  await page.getByRole('button', { name: 'Log the wash' }).click()
  await expect(page.getByText('Wash logged.', { exact: true })).toBeVisible()
  for (const bike of ['Sparrow', 'Kite']) {
    await page.keyboard.press('b')
    await page.getByRole('menuitem', { name: bike }).click()
    await expect(page.getByText(/^Put on (just now|today|0 days ago)/)).toBeVisible()
  }
})

test('chains in turn: whose turn it is and when, every so many kilometres if one likes, and how they sounded on the ride', async ({
  page,
}) => {
  await washOf(page, 'Quarry')
  const hooks = page.getByRole('region', { name: /^(Next on|Chains in turn)/ })
  await expect(hooks).toContainText(/Together they go about .{3,8}km more, probably/)
  await expect(hooks).toContainText(/joining link closed \d of 5 times/)
  await hooks.getByLabel('Chains take turns').selectOption('every 300 km')
  await expect(page.getByText('Chains take turns every 300 km.', { exact: true })).toBeVisible()
  await expect(hooks.getByLabel('Chains take turns')).toHaveValue('300')
  await expectAccessible(page)

  await goTo(page, 'Today')
  const asked = page.getByRole('region', { name: 'How was the chain on the last ride?' })
  const heron = asked.getByRole('group', { name: /^Heron/ })
  await heron.getByRole('radio', { name: 'dry' }).click()
  await expect(heron).toBeHidden()
  await expectAccessible(page)
  await page.keyboard.press('b')
  await page.getByRole('menuitem', { name: 'Heron' }).click()
  await goTo(page, 'Wash')
  await page.getByText(/^How long .* lasts on your chains/).click()
  await expect(page.getByText(/after 1 tap probably/)).toBeVisible()
})

import { expect, test, type Page } from '@playwright/test'
import { answerOf, expectAccessible, goTo } from './bench-hand.ts'

/** Opens the demo on its day with a bike. */
async function openDemo(page: Page, bike: string): Promise<void> {
  await page.goto('/demo/')
  await expect(answerOf(page)).toBeVisible()
  await page.keyboard.press('b')
  await page.getByRole('menuitem', { name: bike }).click()
}

/** Goes to a station by its keys. */
async function goBy(page: Page, key: string, heading: RegExp): Promise<void> {
  await page.keyboard.press('g')
  await page.keyboard.press(key)
  await expect(answerOf(page)).toContainText(heading)
}

/** What a mechanic sees on Plover: two hooked cogs, and all else in order. */
const SEEN: Readonly<Record<string, string>> = {
  'Does the chain lift off the ring?': 'a little',
  'Are the teeth of the cogs hooked?': 'leaning or pointed',
  'Does a fresh chain sit on the cog?': 'it rides up',
  'Are the teeth of the ring hooked?': 'even',
  'How far has the chain lengthened?': 'in between',
  'Is the pulley under the cog?': 'straight under it',
  'Does every link bend?': 'all of them bend',
  'Does the freehub hold?': 'it holds every time',
  'How does the freehub turn?': 'smooth and even',
  'Is a tooth bent or broken?': 'all whole',
  'Does the cassette move?': 'firm',
  'Is the chain rusty?': 'no rust',
  'Does the chain touch the front derailleur when you lean on the crank?': 'it stays clear',
}

test('Plover’s slip is found without riding it, left unmended, and stands on Decide', async ({ page }) => {
  await page.clock.setSystemTime(new Date('2026-11-26T12:00:00Z'))
  await openDemo(page, 'Plover')
  await goBy(page, 'y', /What does Plover do\?/)
  // The log knows which cogs slipped on the road.
  const moved = page.getByRole('region', { name: 'What each answer moved' })
  await expect(moved).toContainText(/The pedals jump forward yes\s*From your log\./)
  // Chain and teeth are worked out first, so that every run meets the same chances.
  await expect(moved).toContainText('How far has the chain lengthened?', { timeout: 90_000 })
  await expect(page.getByText('Working it out: what the road did')).toHaveCount(0, { timeout: 90_000 })
  await page.getByRole('button', { name: 'The pedals jump forward' }).click()
  await page.getByRole('button', { name: 'only hard' }).click()
  await page.getByRole('button', { name: 'Cog 14' }).click()
  await page.getByRole('button', { name: 'Cog 15' }).click()
  await expect(page.getByText('may slip under load, and a slip throws you')).toBeVisible()
  await expectAccessible(page)

  const next = page.getByRole('region', { name: 'Next test' })
  const made: string[] = []
  while (made.length < 6 && !(await answerOf(page).textContent())?.startsWith('Probably worn cogs')) {
    const title = (await next.getByRole('heading', { level: 3 }).textContent()) ?? ''
    await expect(next).not.toContainText('On the road')
    await next
      .getByRole('button', { name: SEEN[title] ?? `nothing is known of “${title}”`, exact: true })
      .click()
    await expect(moved).toContainText(title)
    made.push(title)
  }
  expect(made.length).toBeGreaterThan(0)
  await expect(answerOf(page)).toContainText(/Probably worn cogs 14 and 15: /)
  await page.reload()
  await expect(answerOf(page)).toContainText(/Probably worn cogs 14 and 15: /)

  // An answer taken back is no answer any more.
  const [first = ''] = made
  await moved.getByRole('button', { name: `Take back: ${first}` }).click()
  await expect(moved).not.toContainText(first)

  await page.getByRole('button', { name: /^worn cogs 14 and 15/ }).click()
  await page.getByRole('button', { name: 'This is it: mend it' }).click()
  await expect(page.getByText('Never stand on the pedals before it is mended.')).toBeVisible()
  await expect(page.getByRole('link', { name: 'Check the teeth' })).toBeVisible()
  await page.getByRole('button', { name: 'Found, not mended yet' }).click()
  await expect(page.getByRole('region', { name: 'Found before' })).toContainText('worn cogs, not mended yet')
  await goTo(page, 'Decide')
  await expect(page.getByRole('region', { name: 'Why' })).toContainText(
    'Found and not mended yet: worn cogs.',
    {
      timeout: 60_000,
    },
  )
  await page.getByRole('link', { name: /Find the fault\.$/ }).click()
  await expect(answerOf(page)).toContainText('What does Plover do?')
})

test('a stiff link is found by tapping along while the crank is turned', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-26T12:00:00Z') })
  await openDemo(page, 'Heron')
  await goBy(page, 'y', /What does Heron do\?/)
  await page.getByText('Turn the crank and tap along').click()
  await page.getByRole('combobox', { name: 'Cog' }).selectOption('17')
  await expect(page.getByText(/once per turn of the chain: every 2\.9\d? turns/)).toBeVisible()
  await page.getByRole('button', { name: 'Start tapping' }).click()
  // The clock of the page stands still between two taps, so that the hand is as even here as anywhere.
  await page.clock.pauseAt(new Date('2026-11-26T13:00:00Z'))
  const turns = Array.from({ length: 15 }, (_, i) => ({ at: 1000 * i, key: 'k' }))
  const jerks = [0.62, 3.55, 6.39, 9.34, 12.21].map((at) => ({ at: 1000 * at, key: 'j' }))
  let now = 0
  for (const { at, key } of [...turns, ...jerks].sort((a, b) => a.at - b.at)) {
    await page.clock.runFor(at - now)
    now = at
    await page.keyboard.press(key)
  }
  await expect(page.getByText('5 jerks, 14 turns')).toBeVisible()
  await page.clock.resume()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(
    page.getByText(/once per turn of the chain \(.*\)\. That points to a stiff or bad link\./),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Count this rhythm' }).click()
  await expect(answerOf(page)).toContainText('a stiff or damaged link')
  await expectAccessible(page)

  const next = page.getByRole('region', { name: 'Next test' })
  await expect(next.getByRole('heading', { level: 3 })).toHaveText('Does every link bend?')
  await next.getByRole('button', { name: 'one stays bent' }).click()
  await expect(answerOf(page)).toContainText(/^Probably a stiff or damaged link: (19 in 20|almost certain)/)
  await page.getByRole('button', { name: 'Mend it', exact: true }).click()
  await expect(page.getByText(/flex it sideways with both thumbs/)).toBeVisible()
  await page.getByRole('button', { name: 'It is mended' }).click()
  await expect(page.getByRole('region', { name: 'Found before' })).toContainText(
    'a stiff or damaged link, mended',
  )
})

test('a noise is narrowed by how and when, with gloves, on a phone', async ({ page }) => {
  await page.clock.setSystemTime(new Date('2026-11-26T12:00:00Z'))
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/demo/faults')
  await expect(answerOf(page)).toContainText('Tap it')
  await page.getByRole('radio', { name: 'It makes a noise' }).check()
  await page.getByRole('button', { name: 'a knock' }).click()
  await page.getByRole('group', { name: 'When you brake?' }).getByRole('button', { name: 'yes' }).click()
  await expect(answerOf(page)).toContainText('headset')
  const next = page.getByRole('region', { name: 'Next test' })
  await expect(next.getByRole('heading', { level: 3 })).toHaveText('Is there play in front?')
  await next.getByRole('button', { name: 'a knock is felt' }).click()
  await expect(answerOf(page)).toContainText('Probably headset')
  await page.getByRole('button', { name: 'Mend it', exact: true }).click()
  await expect(page.getByText('Steering that binds: stop riding.')).toBeVisible()
  await expectAccessible(page)
})

test('a ring is changed on the bench, told what it does, and written to the log', async ({ page }) => {
  await page.clock.setSystemTime(new Date('2026-11-26T12:00:00Z'))
  await openDemo(page, 'Heron')
  await goBy(page, 'e', /Heron climbs at \d+.rpm in its easiest gear/)
  await page.getByRole('button', { name: 'Ring 42' }).click()
  await expect(answerOf(page)).toContainText(/42 × 11–42 moves .* of your work/)
  await expect(page.getByRole('table').first()).toContainText(/cost per 1000 km€\d+€\d+/, { timeout: 90_000 })
  await expectAccessible(page)

  // A cassette that cannot be, and one that can.
  const cogs = page.getByRole('textbox', { name: 'Cogs' })
  await cogs.fill('0 11 13')
  await page.getByRole('button', { name: 'Compare' }).click()
  await expect(page.getByText('0 teeth: no chain runs on that.')).toBeVisible()
  await cogs.fill('11-34')
  await page.getByRole('button', { name: /^11 cogs: / }).click()
  await page.getByRole('button', { name: 'Compare' }).click()
  await expect(answerOf(page)).toContainText('40 × 11–34')
  await expect(page.getByRole('img', { name: /^Gears of 3 set-ups on one ruler/ })).toBeVisible()

  // The longer chain, by both ways of counting.
  await page.getByRole('radio', { name: '42 × 11–42' }).check()
  const fit = page.getByRole('region', { name: 'Chain and fit: 42 × 11–42' })
  await expect(fit).toContainText('118 links by the formula')
  await expect(fit).toContainText('The ends meet at 116; add one pair of links.')

  await page.getByRole('button', { name: 'Fit 42 × 11–42' }).click()
  const form = page.getByRole('region', { name: 'Fit 42 × 11–42' })
  await expect(form).toContainText('On: Ring 42. Off, to the shelf: Ring 40.')
  await expect(form).toContainText('Its chain is probably too short: 118 links are needed, 116 are on.')
  await form.getByRole('button', { name: 'Write it: it is on Heron' }).click()
  await expect(page.getByRole('columnheader', { name: 'as it is' })).toContainText('42 × 11–42')
  await goBy(page, 'l', /entries/)
  await expect(page.getByRole('main')).toContainText('Ring 42')
  await page.keyboard.press('u')
  await goBy(page, 'e', /40 × 11–34/)
  await expect(page.getByRole('columnheader', { name: 'as it is' })).toContainText('40 × 11–42')
})

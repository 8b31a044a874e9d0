import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { addBike, answerOf, daysAgo, expectAccessible, goTo, readWithRule, workedOut } from './bench-hand.ts'

/** Tern with eight weeks of 150 km behind it. */
async function riddenTern(page: Page): Promise<void> {
  await addBike(page)
  await goTo(page, 'Miles')
  let km = 0
  for (const ago of [56, 49, 42, 35, 28, 21, 14, 7]) {
    await page.getByLabel('Day', { exact: true }).fill(daysAgo(ago))
    await page.getByLabel('Distance, km').fill('150')
    await page.getByRole('button', { name: 'Add the ride' }).click()
    km += 150
    await expect(answerOf(page)).toContainText(new RegExp(`${km >= 1000 ? '1\\s\\d{3}' : km}\\skm`))
  }
}

const plain = (text: string | null): string => (text ?? '').replaceAll('\u00a0', ' ')
const figuresOf = (text: string): number[] =>
  [...text.matchAll(/\d[\d ]*(?:\.\d+)?/g)].map(([figure]) => Number(figure.replaceAll(' ', '')))

/** What one's calendar would hold after reading the file in: days, sequence and status by UID. */
async function calendarOf(page: Page) {
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a calendar file' }).click()
  const file = readFileSync(await (await download).path(), 'utf8').replace(/\r\n[ \t]/g, '')
  return new Map(
    file.split('BEGIN:VEVENT').flatMap((part) => {
      const uid = /UID:(.*)\r/.exec(part)?.[1]
      const start = /DTSTART;VALUE=DATE:(\d{4})(\d\d)(\d\d)/.exec(part)
      if (uid === undefined || !start) return []
      const title = /SUMMARY:(.*)\r/.exec(part)?.[1] ?? ''
      return [
        [
          title.replace(/^Tern: /, ''),
          {
            uid,
            day: start.slice(1).join('-'),
            sequence: Number(/SEQUENCE:(\d+)/.exec(part)?.[1]),
            cancelled: part.includes('STATUS:CANCELLED'),
          },
        ] as const,
      ]
    }),
  )
}

/** All that is said of when to look again and when to swap, station by station. */
async function saidOf(page: Page) {
  await goTo(page, 'Gauge')
  await workedOut(page)
  const verdict = plain(await answerOf(page).textContent())
  const [percent = NaN, , , km = NaN] = figuresOf(verdict)
  const next = /Next look in.*/.exec(plain(await page.getByText(/Next look in/).textContent()))?.[0] ?? ''
  const fan = plain(
    await page
      .getByRole('region', { name: 'Every reading so far' })
      .getByRole('img')
      .getAttribute('aria-labelledby'),
  )
  const spoken = plain(await page.locator(`[id="${fan}"]`).textContent())
  await goTo(page, 'Decide')
  const distance = plain(await page.getByText(/^To the limit: about/).textContent())
  await goTo(page, 'Today')
  await page.getByText('As a list').click()
  const coming = page.getByRole('list', { name: 'Coming up' })
  const look = plain(
    await coming.getByRole('listitem').filter({ hasText: 'look at the chain' }).textContent(),
  )
  const swap = plain(await coming.getByRole('listitem').filter({ hasText: 'swap the chain' }).textContent())
  return { percent, km, next, spoken, distance, look, swap, calendar: await calendarOf(page) }
}

test('a reading moves sentence, fan, next look and calendar file together', async ({ page }) => {
  await riddenTern(page)
  await goTo(page, 'Gauge')
  for (const length of ['305.5', '306.0', '305.5']) await readWithRule(page, length)
  const before = await saidOf(page)

  await test.step('every station says the same', () => {
    const [km, , , from, to] = figuresOf(before.distance)
    expect(before.km).toBe(km)
    const [inKm] = figuresOf(before.next)
    expect(inKm).toBe(from)
    expect(before.swap).toContain(`in about ${String(km).replace(/\B(?=(\d{3})+$)/, ' ')} km`)
    expect(to).toBeGreaterThan(km ?? NaN)
    const day = /around (.*)\.$/.exec(before.next)?.[1] ?? 'no day'
    expect(before.look).toContain(day)
    const entry = before.calendar.get('look at the chain again')
    expect(new Date(`${entry?.day}T12:00:00`).getDate()).toBe(Number(/^\d+/.exec(day)?.[0]))
    expect(before.spoken).toMatch(/ahead of today the likely way on, \d\.\d\d to \d\.\d\d %/)
  })

  await goTo(page, 'Gauge')
  for (const length of ['306.5', '307.0']) await readWithRule(page, length)
  await expect(page.getByRole('checkbox', { name: /rule/ })).toHaveCount(5)
  const after = await saidOf(page)

  await test.step('and moves with it: more worn, less far, sooner, in the same places of the calendar', () => {
    expect(after.percent).toBeGreaterThan(before.percent)
    expect(after.km).toBeLessThan(before.km)
    expect(figuresOf(after.next)[0] ?? NaN).toBeLessThan(figuresOf(before.next)[0] ?? NaN)
    expect(after.spoken).not.toBe(before.spoken)
    const [was, is] = [before, after].map(({ calendar }) => calendar.get('look at the chain again'))
    expect(is?.uid).toBe(was?.uid)
    expect(is && was && is.day < was.day).toBe(true)
    expect(is?.sequence).toBeGreaterThan(was?.sequence ?? Infinity)
  })
})

test('a tour ahead: will the chain last, and it is in the calendar until it is cancelled', async ({
  page,
}) => {
  await riddenTern(page)
  await goTo(page, 'Gauge')
  for (const length of ['305.5', '306.0']) await readWithRule(page, length)
  await goTo(page, 'Decide')
  await workedOut(page)

  await test.step('it is planned, and said whether the chain lasts', async () => {
    await page.getByRole('button', { name: 'Add an event' }).click()
    const sheet = page.getByRole('dialog', { name: 'Events with Tern' })
    await sheet.getByRole('button', { name: 'Save event' }).click()
    await expect(sheet.getByText('Give it a name: “spring tour”.')).toBeVisible()
    await expectAccessible(page)
    await sheet.getByLabel('What').fill('Spring tour')
    await sheet.getByLabel('Distance, km').fill('4000')
    await sheet.getByLabel('Conditions').selectOption({ label: 'rain' })
    await sheet.getByRole('button', { name: 'Save event' }).click()
    await expect(page.getByText(/It will not last: swap it before/)).toBeVisible()
  })

  await test.step('a shorter one it may well last through', async () => {
    await page.getByRole('button', { name: 'Change Spring tour' }).click()
    const sheet = page.getByRole('dialog', { name: 'Spring tour' })
    await sheet.getByLabel('Distance, km').fill('60')
    await sheet.getByRole('button', { name: 'Save event' }).click()
    await expect(page.getByText(/The chain lasts: swap it afterwards|It may just last/)).toBeVisible()
  })

  await test.step('the chance at any distance grows as one goes on', async () => {
    const said = page.getByText(/The chain is then probably at/)
    const near = plain(await said.textContent())
    await page.getByRole('slider', { name: 'Distance from now' }).press('End')
    await expect(said).not.toHaveText(near)
  })

  await test.step('it stands on Today, on the road and in the calendar file', async () => {
    await goTo(page, 'Miles')
    await expect(page.getByText(/^Ahead, in about .*km: Spring tour, 60.km in rain\./)).toBeVisible()
    await goTo(page, 'Today')
    await expect(page.getByRole('link', { name: /Tern, Spring tour/ })).toBeVisible()
    expect((await calendarOf(page)).get('Spring tour')).toMatchObject({ cancelled: false })
  })

  await test.step('cancelled, the calendar says so', async () => {
    await goTo(page, 'Decide')
    await page.getByRole('button', { name: 'Cancel Spring tour' }).click()
    await expect(page.getByText('Spring tour', { exact: true })).toHaveCount(0)
    await goTo(page, 'Today')
    expect((await calendarOf(page)).get('Spring tour: cancelled')).toMatchObject({ cancelled: true })
  })
})

test('a slip of the rule is doubted, and mended', async ({ page }) => {
  await riddenTern(page)
  await goTo(page, 'Gauge')
  for (const length of ['305.5', '306.0', '305.5']) await readWithRule(page, length)
  await workedOut(page)
  await goTo(page, 'Miles')
  await page.getByLabel('Distance, km').fill('80')
  await page.getByRole('button', { name: 'Add the ride' }).click()
  await goTo(page, 'Gauge')
  await readWithRule(page, '311')
  const question = page.getByRole('region', { name: 'Not what was expected' })
  await expect(question).toContainText('Was it misread')
  await expect(question).toContainText('If so, it is at about')
  await expect(answerOf(page)).toContainText('Measure it again.')
  await expectAccessible(page)
  await question.getByRole('link', { name: 'Measure it with another tool' }).click()
  await expect(page.getByRole('region', { name: 'Take a reading' })).toBeFocused()
  await goTo(page, 'Decide')
  await expect(answerOf(page)).toContainText('Measure the chain again.')
  await goTo(page, 'Gauge')
  await page.getByRole('checkbox', { name: /311/ }).click()
  await expect(question).toHaveCount(0)
  await expect(answerOf(page)).toContainText('Swap it in about')
})

test('what was worked out is there at the next visit, without any work', async ({ page }) => {
  await riddenTern(page)
  await goTo(page, 'Gauge')
  await readWithRule(page, '305.5')
  await workedOut(page)
  const verdict = (await answerOf(page).textContent()) ?? ''
  await page.route('**/answers.worker*', (route) => route.abort())
  await page.reload()
  await expect(answerOf(page)).toHaveText(verdict)
  await expect(page.getByText('Working out the chains…')).toHaveCount(0)
})

test('long work tells how far it has come, can be left, and taken up again', async ({ page }) => {
  await riddenTern(page)
  await goTo(page, 'Gauge')
  await readWithRule(page, '305.5')
  await workedOut(page)
  // The worker's script is held back, as a slow machine would.
  let release: () => void = () => undefined
  const held = new Promise<void>((resolve) => (release = resolve))
  await page.route('**/answers.worker*', async (route) => {
    await held
    await route.continue()
  })
  await page.reload()
  await readWithRule(page, '306.5')
  await expect(page.getByText('Working out the chains…')).toBeVisible()
  await expect(page.getByText(/Being updated with what was added/)).toBeVisible()
  await page.getByRole('button', { name: 'Not now' }).click()
  await expect(page.getByText(/Stopped: the answers shown may be older than the log/)).toBeVisible()
  await page.getByRole('button', { name: 'Work it out' }).click()
  release()
  await workedOut(page)
  await expect(page.getByText(/Being updated/)).toHaveCount(0)
  await expect(page.getByText(/2 readings with rule/)).toBeVisible()
})

test('the rates of the demo garage: what was learned beside what was thought', async ({ page }) => {
  await page.goto('/demo/')
  await expect(answerOf(page)).toContainText('Start with')
  await workedOut(page)
  await page.keyboard.press('g')
  await page.keyboard.press('r')
  await expect(answerOf(page)).toContainText(/A chain of yours lengthens by 0\.\d\d\u00a0% in 1000\u00a0km/)
  const roads = page.getByRole('table', { name: /each kind of road/ })
  await expect(roads.getByRole('row', { name: /Winter salt/ })).toContainText(/× \d\.\d, \d\.\d to \d\.\d/)
  await expect(
    page.getByText(/^Immersion wax against drip lube: 0\.\d\d times the wear, probably/),
  ).toBeVisible()
  await expect(
    page.getByRole('region', { name: 'What to find out next' }).getByRole('listitem'),
  ).not.toHaveCount(0)
  await page.getByText('How was this worked out?').click()
  await expect(page.getByRole('row', { name: /R-hat/ })).toContainText('the samplers agree')
})

import { afterEach, beforeAll, describe, expect, test } from '@jest/globals'
import { cleanup, screen, within } from '@testing-library/react'
import fc from 'fast-check'
import { caliperReadings, commuter, hundreds, noon, ride, springTour } from '../../test/log.ts'
import { cogLooked, LUBED, OF_UNKNOWN_PAST, ruledAt } from '../../test/judged.ts'
import { openLog, TODAY } from '../../test/open-log.tsx'
import { outlookOf } from '../../test/outlook.ts'
import type { EntryDraft } from '../core/log/entries.ts'
import type { Action } from '../core/strategy/rules/rule.ts'
import { remindersOf } from '../core/strategy/reminders.ts'
import { verdictOf } from '../core/strategy/verdict.ts'
import { addDays } from '../core/units/days.ts'
import { onBike } from '../core/wear/outlook.ts'
import { sayDay } from '../words/numbers.ts'
import Decide from './decide/Decide.tsx'
import Gauge from './gauge/Gauge.tsx'
import Miles from './miles/Miles.tsx'
import { calendarItems } from './today/calendar-items.ts'
import Today from './today/Today.tsx'
import Wash from './wash/Wash.tsx'

beforeAll(() => {
  // Nothing is drawn here, and jsdom would say so each time.
  HTMLCanvasElement.prototype.getContext = () => null
})
afterEach(() => {
  cleanup()
  localStorage.clear()
})

const scale = (percent: number): EntryDraft => ({
  kind: 'reading',
  at: noon(3, 30),
  chain: 'chain',
  reading: { instrument: 'two-contact-scale', percent },
})
const tourOf = (inDays: number, km: number): EntryDraft => ({
  ...springTour,
  starts: addDays(TODAY, inDays),
  km,
  condition: 'dry-road',
})

/** Everything that a screen says of the one chain, as it is read there. */
interface Said {
  readonly word?: string | undefined
  readonly does?: 'swap' | 'measure' | 'answer first' | 'go on' | undefined
  readonly lookIn?: string | undefined
  readonly lookOn?: string | undefined
  readonly swapIn?: string | undefined
  readonly lubeIn?: string | undefined
  readonly before?: string | undefined
}

const WORDS = ['fresh', 'good', 'watch', 'swap', 'spent', 'unsure']
const KM = String.raw`([\d\s\u2009\u202f,.]+km)`
const first = (text: string, pattern: RegExp): string | undefined => pattern.exec(text)?.[1]?.trim()
const plain = (text: string | null | undefined): string => (text ?? '').replace(/[\u00a0\u2009\u202f]/g, ' ')

function doesIn(text: string): Said['does'] {
  if (/Swap it now|Swap the chain( and cogs together)?\./.test(text)) return 'swap'
  if (/Answer one question first\./.test(text)) return 'answer first'
  if (/[Mm]easure (it|the chain)( again)?\.|is not measured yet|would settle it/.test(text)) return 'measure'
  return 'go on'
}

/** What a sentence promises. */
function promisesIn(text: string): Said {
  return {
    lookIn: first(text, new RegExp(`(?:Next|First) look in (?:about )?${KM}`)),
    lookOn: first(text, /(?:around|, on) (\d+ \w+(?: \d{4})?)\./),
    swapIn: first(text, new RegExp(`(?:Swap it|its limit) in about ${KM}`)),
    lubeIn: first(text, new RegExp(`good for about ${KM} more`)),
    before: first(text, /before (Spring tour)/),
  }
}

/** Shows a station, and reads its answer. */
function readStation(show: ReturnType<typeof openLog>['show'], station: React.ReactElement): Said {
  show(station)
  const answer = document.getElementById('answer')?.closest('section')
  if (!answer) throw new Error('the station says nothing')
  const text = plain(answer.textContent)
  const medal = within(answer).queryByText((words) => WORDS.includes(words))
  cleanup()
  return { word: medal?.textContent, does: doesIn(text), ...promisesIn(text) }
}

const isToday = (row: string): boolean => row.startsWith('today')

/** What the rows of today ask for. */
function doesToday(swap: string, look: string): Said['does'] {
  if (isToday(swap) && /past its limit/.test(swap)) return 'swap'
  if (!isToday(look)) return 'go on'
  return /question/.test(look) ? 'answer first' : 'measure'
}

/** What a verdict's action asks for. */
function doesBy(action: Action): Said['does'] {
  if (action.startsWith('swap')) return 'swap'
  if (action === 'answer-first') return 'answer first'
  return action === 'measure' ? 'measure' : 'go on'
}

/** The first screen: its line on the bike, and what is coming up. */
function readToday(show: ReturnType<typeof openLog>['show']): readonly Said[] {
  show(<Today />)
  const line = within(screen.getByRole('list', { name: 'Bikes' })).getByRole('listitem')
  const text = plain(line.textContent)
  const word = within(line).getAllByText((words) => WORDS.includes(words))[0]?.textContent
  const rows = screen
    .queryAllByRole('list', { name: 'Coming up' })
    .flatMap((list) => within(list).getAllByRole('listitem'))
    .map((row) => plain(row.textContent))
  const headline = doesIn(plain(screen.getByRole('heading', { level: 1 }).textContent))
  cleanup()
  const row = (pattern: RegExp): string => rows.find((one) => pattern.test(one)) ?? ''
  const [look, swap, lube] = [row(/look at the chain|first time/), row(/swap the chain/), row(/wipe|wax|lub/)]
  const inKm = new RegExp(`in about ${KM}`)
  return [
    { word, does: doesIn(text), ...promisesIn(text) },
    { does: headline },
    {
      does: doesToday(swap, look),
      lookIn: isToday(look) ? undefined : first(look, inKm),
      lookOn: isToday(look) ? undefined : first(look, /^(\d+ \w+(?: \d{4})?)Heron/),
      swapIn: first(swap, inKm),
      lubeIn: first(lube, inKm),
      before: first(`${look} ${swap}`, /before (Spring tour)/),
    },
  ]
}

/** Everything said of one kind: no two may differ. What a screen does not say it cannot contradict. */
function agree(said: readonly Said[], what: keyof Said): void {
  const all = said.map((one) => one[what]).filter((one) => one !== undefined && one !== '')
  expect({ what, said: [...new Set(all)] }).toEqual({ what, said: all.slice(0, 1) })
}

function holdToOneVerdict(drafts: readonly EntryDraft[]): readonly Said[] {
  const log = openLog(drafts, (garage) => outlookOf(garage, TODAY))
  const answer = onBike(outlookOf(log.garage, TODAY).chains['chain'])
  const verdict = verdictOf(log.report, answer)
  if (!verdict) throw new Error('no verdict')
  const stations = [<Gauge key="g" />, <Decide key="d" />, <Miles key="m" />].map((station) =>
    readStation(log.show, station),
  )
  const [gauge, decide, miles] = stations
  const wash = readStation(log.show, <Wash />)
  const today = readToday(log.show)
  const judged = [gauge, decide, ...today].flatMap((one) => one ?? [])
  const all = [...judged, { word: miles?.word }, { lubeIn: wash.lubeIn }]
  for (const what of ['word', 'does', 'lookIn', 'lookOn', 'swapIn', 'lubeIn', 'before'] as const)
    agree(all, what)

  // What they all say is the verdict, not one mistake made alike.
  expect(gauge).toMatchObject({ word: verdict.word, does: doesBy(verdict.action) })
  // The calendar has it on the same day.
  const reminders = remindersOf([{ report: log.report, verdict }])
  const look = calendarItems(reminders, log.garage, log.entries, 'metric', TODAY).find(({ id }) =>
    id.startsWith('look'),
  )
  const shown = all.find(({ lookOn }) => lookOn !== undefined)?.lookOn
  if (look && shown !== undefined) expect(sayDay(`${look.day}T12:00:00.000Z`, TODAY)).toBe(shown)
  return all
}

/** Logs in which screens once differed, or could: doubt, disagreement, wide readings, new and old chains, a tour ahead. */
const LOGS: Readonly<Record<string, readonly EntryDraft[]>> = {
  'a new chain': commuter,
  'a new chain, ridden': [...commuter, ...hundreds],
  'a chain as found': [...OF_UNKNOWN_PAST, ...hundreds],
  'a fresh reading': [...commuter, ...hundreds, LUBED, ...caliperReadings(3, 30, 0.12, 3)],
  'just under the limit, read just now': [...commuter, ...hundreds, ...caliperReadings(3, 31, 0.46, 4)],
  'past the limit': [...commuter, ...hundreds, ...caliperReadings(3, 30, 0.62, 3)],
  'far past it': [...commuter, ...hundreds, ...caliperReadings(3, 30, 1.02, 3)],
  'two tools that disagree about the limit': [
    ...commuter,
    ...hundreds,
    ...[0.75, 0.8].map(scale),
    ...[0.25, 0.22].map(ruledAt),
  ],
  'two tools that disagree beyond it': [
    ...commuter,
    ...hundreds,
    ...[1.3, 1.35].map(scale),
    ...[0.8, 0.82].map(ruledAt),
  ],
  'one coarse reading': [...OF_UNKNOWN_PAST, ...hundreds, ruledAt(0.4)],
  'a reading that surprises': [
    ...commuter,
    ...hundreds,
    ...caliperReadings(2, 1, 0.3, 3),
    ...caliperReadings(3, 30, 0.02, 2),
  ],
  'a chain that got shorter, by two tools': [
    ...commuter,
    ...hundreds,
    ...caliperReadings(2, 1, 0.35, 3),
    ...caliperReadings(3, 30, 0.02, 2),
    ruledAt(0.03),
  ],
  'a tour it does not last through': [
    ...commuter,
    ...hundreds,
    LUBED,
    ...caliperReadings(3, 21, 0.35, 4),
    tourOf(20, 2500),
  ],
  'a tour it may just last through': [
    ...commuter,
    ...hundreds,
    LUBED,
    ...caliperReadings(3, 21, 0.25, 4),
    tourOf(20, 1250),
  ],
}

describe('whatever the log, no two screens say different things of one chain', () => {
  test.each(Object.entries(LOGS))('%s', (_name, drafts) => void holdToOneVerdict(drafts))

  test('and what is compared is said more than once', () => {
    const saysOf = (name: string) => {
      const all = holdToOneVerdict(LOGS[name] ?? [])
      return (what: keyof Said) => all.filter((one) => one[what] !== undefined).length
    }
    const fresh = saysOf('a fresh reading')
    expect(fresh('word')).toBeGreaterThanOrEqual(4)
    expect(fresh('does')).toBeGreaterThanOrEqual(5)
    for (const what of ['lookIn', 'lookOn', 'swapIn', 'lubeIn'] as const)
      expect({ what, said: fresh(what) >= 2 }).toEqual({ what, said: true })
    expect(saysOf('a tour it does not last through')('before')).toBeGreaterThanOrEqual(2)
  })

  test('nor of any log at random', () => {
    const log = fc
      .record({
        start: fc.constantFrom(commuter, OF_UNKNOWN_PAST),
        rides: fc.array(
          fc.record({
            month: fc.integer({ min: 1, max: 3 }),
            day: fc.integer({ min: 1, max: 28 }),
            km: fc.integer({ min: 1, max: 160 }),
          }),
          { maxLength: 20 },
        ),
        lube: fc.constantFrom(undefined, 'wet-lube', 'immersion-wax', 'none'),
        read: fc.option(
          fc.record({
            day: fc.integer({ min: 1, max: 31 }),
            percent: fc.double({ min: -0.05, max: 1.3, noNaN: true }),
            times: fc.integer({ min: 1, max: 4 }),
          }),
        ),
        cog: fc.option(fc.constantFrom('good', 'swap', 'spent')),
        tour: fc.option(
          fc.record({ inDays: fc.integer({ min: 2, max: 90 }), km: fc.integer({ min: 30, max: 3000 }) }),
        ),
      })
      .map(({ start, rides, lube, read, cog, tour }): readonly EntryDraft[] => [
        ...start,
        ...rides.map(({ month, day, km }) => ride(month, day, km)),
        ...(lube === undefined ? [] : [{ ...LUBED, lube } as EntryDraft]),
        ...(read ? caliperReadings(3, read.day, read.percent, read.times) : []),
        ...(cog ? [cogLooked(cog)] : []),
        ...(tour ? [tourOf(tour.inDays, tour.km)] : []),
      ])
    fc.assert(
      fc.property(log, (drafts) => void holdToOneVerdict(drafts)),
      { numRuns: 12, seed: 1207, endOnFailure: true },
    )
  }, 60_000)
})

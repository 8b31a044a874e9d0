import { describe, expect, test } from '@jest/globals'
import { commuter, kite, kiteChain, noon, springTour, written } from '../../test/log.ts'
import { ENTRY_FORMAT } from '../core/log/entry.ts'
import type { EventEntry } from '../core/log/kinds/event.ts'
import { replay } from '../core/log/replay.ts'
import type { Reminder } from '../core/strategy/reminders.ts'
import type { EventAdvice, EventOutlook } from '../core/wear/event-outlook.ts'
import { sayEvent, sayEventAdvice, sayEventDays, sayReminderDay, sayToDo, sayWhen } from './ahead.ts'
import { mendFor, sayCause, sayIfSo, saySurprise } from './surprise.ts'

const NOW = noon(4, 1)
const plain = (text: string): string => text.replaceAll('\u00a0', ' ')
const garage = replay(written([...commuter, kite, ...kiteChain]))
const tour: EventEntry = { ...springTour, format: ENTRY_FORMAT, id: 'a' }

describe('a reminder in words', () => {
  const own = { bike: 'heron' } as const
  const IN_KM = { p10: 300, p50: 389, p90: 500 }
  test.each<readonly [Reminder, string, string]>([
    [
      { ...own, kind: 'look', look: { isFirst: true, inKm: 0 } },
      'measure the chain for the first time',
      'it is due',
    ],
    [
      { ...own, kind: 'look', look: { isFirst: false, inKm: 204 } },
      'look at the chain again',
      'in about 200 km',
    ],
    [
      { ...own, kind: 'look', look: { isFirst: false, before: tour } },
      'look at the chain again',
      'before Spring tour, which it may not last through',
    ],
    [
      { ...own, kind: 'lube', lube: { lube: 'wet-lube', inKm: 52 } },
      'wipe and lubricate the chain',
      'in about 52 km',
    ],
    [{ ...own, kind: 'lube', lube: { lube: 'immersion-wax', inKm: 0 } }, 'wax the chain', 'it is due'],
    [{ ...own, kind: 'swap' }, 'swap the chain', 'it is past its limit'],
    [{ ...own, kind: 'swap', cogsToo: true }, 'swap the chain and cogs', 'it is past its limit'],
    [
      { ...own, kind: 'swap', swap: { inKm: IN_KM, from: noon(4, 20), to: noon(6, 1) } },
      'swap the chain',
      'in about 390 km, probably between 20 April and 1 June',
    ],
    [
      { ...own, kind: 'swap', swap: { inKm: IN_KM, before: tour } },
      'swap the chain',
      'before Spring tour, which it would not last through',
    ],
    [{ bike: 'heron', kind: 'event', event: tour }, 'Spring tour', '900 km in 9 days, rain'],
  ])('%#', (reminder, toDo, when) => {
    expect(sayToDo(reminder)).toBe(toDo)
    expect(plain(sayWhen(reminder, 'metric', NOW))).toBe(when)
  })

  test('its day: today until the day is over, and none where nothing is ridden', () => {
    const look: Reminder = { ...own, kind: 'look', look: { isFirst: false, inKm: 0 } }
    expect(sayReminderDay({ ...look, day: NOW.replace('T12', 'T21') }, NOW)).toBe('today')
    expect(sayReminderDay({ ...look, day: noon(3, 1) }, NOW)).toBe('today')
    expect(sayReminderDay({ ...look, day: noon(4, 2) }, NOW)).toBe('2 April')
    expect(sayReminderDay(look, NOW)).toBe('no day yet')
  })

  test('miles where miles are read', () => {
    expect(plain(sayEvent(tour, 'imperial'))).toMatch(/^559 mi/)
  })

  test('an event’s days: from the first to the last of them', () => {
    expect(sayEventDays(tour, NOW)).toBe('2 May to 10 May')
    expect(sayEventDays({ ...tour, days: 1 }, NOW)).toBe('2 May')
  })
})

describe('whether a chain lasts through it', () => {
  const outlook = (advice: EventAdvice): EventOutlook => ({
    event: 'tour',
    beginsKm: { p10: 300, p50: 330, p90: 360 },
    ends: { p10: 0.64, p50: 0.79, p90: 0.98 },
    pastBefore: 2 / 3,
    pastAfter: 0.4,
    mayRead: 0.31,
    advice,
  })
  test.each<readonly [EventAdvice, RegExp]>([
    ['after', /^The chain lasts: swap it afterwards\. It will end at about 0\.79 %, probably 0\.64 to 0\.98/],
    ['look-first', /Measure before you go: if it reads more than 0\.31 %, swap it first/],
    ['before', /^It will not last: swap it before/],
    ['before-anyway', /^Swap it before. Chance that it is past 0\.5 % even before the start: about 2 in 3/],
  ])('%s', (advice, words) => {
    expect(plain(sayEventAdvice(outlook(advice), 0.5))).toMatch(words)
  })
})

describe('a surprise in words', () => {
  test('what an answer would mean for the chain', () => {
    const worn = { p10: 0.6, p50: 0.8, p90: 0.9 }
    expect(plain(sayIfSo(worn, 0.75))).toBe('If so, it is at about 0.80 %, past its limit.')
    expect(plain(sayIfSo(worn, 1))).toBe('If so, it is at about 0.80 %.')
  })

  test('what was read beside what was to be expected', () => {
    const [now, expected] = [
      { p10: 0.3, p50: 0.4, p90: 0.5 },
      { p05: 0.27, p50: 0.35, p95: 0.43 },
    ]
    const look = { look: { first: 0, size: 1 }, isLast: true }
    const surprise = { ...look, read: 1.52, expected, asLogged: 0.01, ifAsLogged: now, causes: [] }
    expect(plain(saySurprise(surprise))).toBe(
      'The last reading says about 1.52 %; 0.27 to 0.43 % was expected.',
    )
  })

  test('every cause asks a question and has a place where it is put right', () => {
    const causes = [
      { kind: 'wrong-chain', chain: 'kite-chain' },
      { kind: 'swapped' },
      { kind: 'missing-road' },
      { kind: 'gauge' },
    ] as const
    for (const cause of causes) {
      expect(sayCause(cause, garage)).toMatch(/\?$/)
      for (const isLast of [true, false]) {
        const { path, label } = mendFor(cause, { isLast }, 'entry')
        expect(path).toMatch(/^\/(log|shelf|miles|gauge)/)
        expect(label).toBeTruthy()
      }
    }
    expect(sayCause(causes[1], garage, ['3 May', '20 May'])).toBe(
      'Was a fresh chain fitted between 3 May and 20 May that is not in the log?',
    )
    expect(sayCause(causes[0], garage)).toBe('Was it Chain 1 of Kite that was measured?')
    expect(mendFor(causes[0], { isLast: true }, 'the-reading').path).toBe('/log?entry=the-reading')
  })
})

import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, screen } from '@testing-library/react'
import { caliperReadings, commuter, hundreds, kite, noon, springTour } from '../../../test/log.ts'
import { openLog, TODAY } from '../../../test/open-log.tsx'
import { outlookOf } from '../../../test/outlook.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { remindersOf } from '../../core/strategy/reminders.ts'
import { verdictOf } from '../../core/strategy/verdict.ts'
import { addDays } from '../../core/units/days.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import { dayOf } from '../../words/day.ts'
import { ComingUp } from './ComingUp.tsx'
import { calendarItems } from './calendar-items.ts'

afterEach(() => {
  cleanup()
  localStorage.clear()
})
const plain = (text: string | null | undefined): string => (text ?? '').replaceAll('\u00a0', ' ')
const drafts: readonly EntryDraft[] = [
  ...commuter,
  ...hundreds,
  { kind: 'wash', at: noon(3, 31), chain: 'chain', method: 'off-bike', lube: 'immersion-wax' },
  ...caliperReadings(3, 25, 0.3),
]
const tour: EntryDraft = { ...springTour, starts: addDays(TODAY, 20), km: 3000, condition: 'dry-road' }

function opened(...more: readonly EntryDraft[]) {
  const log = openLog([...drafts, ...more])
  const answer = outlookOf(log.garage, TODAY).chains['chain'] as WearAnswer
  const bikes = [{ report: log.report, verdict: verdictOf(log.report, answer) }]
  return { ...log, bikes, reminders: remindersOf(bikes) }
}

describe('coming up', () => {
  test('lists what is to be done, by day, each with the way there', () => {
    const { show, bikes } = opened(tour)
    show(<ComingUp bikes={bikes} />)
    const rows = screen.getAllByRole('listitem').map(({ textContent }) => plain(textContent))
    expect(rows.some((row) => /Heron: wax the chain/.test(row))).toBe(true)
    expect(rows.some((row) => /Heron: swap the chain.*before Spring tour/.test(row))).toBe(true)
    expect(rows.some((row) => /Spring tour.*3 000 km in 9 days, dry road/.test(row))).toBe(true)
    expect(screen.getByRole('link', { name: /swap the chain/ }).getAttribute('href')).toBe('/decide')
    expect(screen.getByRole('link', { name: /wax the chain/ }).getAttribute('href')).toBe('/wash#log')
    expect(screen.getByRole('button', { name: 'Save as a calendar file' })).toBeTruthy()
  })

  test('of bikes without a chain nothing is said', () => {
    const { show } = openLog([...commuter, kite])
    show(<ComingUp bikes={[]} />)
    expect(screen.queryByText('Coming up')).toBeNull()
  })
})

describe('the same for a calendar', () => {
  const itemsOf = (log: ReturnType<typeof opened>) =>
    calendarItems(log.reminders, log.garage, log.entries, 'metric', TODAY)

  test('a bike has one look, one lubrication and one swap, whatever chain it has on', () => {
    const ids = itemsOf(opened(tour)).map(({ id }) => id)
    expect(new Set(ids).size).toBe(ids.length)
    expect(ids).toEqual(expect.arrayContaining(['lube.heron', 'swap.heron', 'event.tour']))
  })

  test('on the days the page shows, in words without hard spaces', () => {
    const log = opened(tour)
    const items = itemsOf(log)
    for (const reminder of log.reminders) {
      const id = reminder.kind === 'event' ? 'event.tour' : `${reminder.kind}.heron`
      expect(items.find((item) => item.id === id)?.day).toBe(dayOf(reminder.day ?? ''))
    }
    expect(items.every(({ title, text }) => !/\u00a0/.test(title + text))).toBe(true)
    expect(items.find(({ id }) => id === 'event.tour')).toMatchObject({
      days: 9,
      title: 'Heron: Spring tour',
    })
  })

  test('what was planned and taken back is cancelled; what is over is not spoken of', () => {
    const log = opened(tour)
    const planned = log.entries.find(({ kind }) => kind === 'event')
    const back = opened(
      tour,
      { ...tour, event: 'past', starts: addDays(TODAY, -20) },
      { kind: 'withdraw', at: TODAY, targets: [planned?.id ?? ''] },
    )
    const items = calendarItems(back.reminders, back.garage, back.entries, 'metric', TODAY)
    expect(items.filter(({ cancelled }) => cancelled).map(({ id }) => id)).toEqual(['event.tour'])
  })

  test('what has no day is in no calendar', () => {
    const still = opened({ kind: 'plan', at: noon(3, 30), bike: 'heron', weeklyKm: 0 })
    expect(itemsOf(still).map(({ id }) => id)).not.toContain('swap.heron')
  })
})

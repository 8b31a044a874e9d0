import { describe, expect, test } from '@jest/globals'
import { cogLooked, JUDGED_AT, LUBED, LUBED_LONG_AGO, measuredAt, reportOn } from '../../../../test/judged.ts'
import { commuter, hundreds, noon, ride, written } from '../../../../test/log.ts'
import { answerOf } from '../../../../test/outlook.ts'
import type { EntryDraft } from '../../log/entries.ts'
import type { VisitJob } from '../../log/kinds/visit.ts'
import { replay } from '../../log/replay.ts'
import { openAdvice } from '../facts/advice.ts'
import { usualPrices } from '../plans/usual-prices.ts'
import { chooseJobs } from './job-choice.ts'
import { proposedJobs } from './job-options.ts'

const PRICES = usualPrices(11, 'EUR')
const pulley: readonly EntryDraft[] = [
  {
    kind: 'part',
    at: noon(1, 1),
    part: 'tension',
    name: 'Tension pulley',
    spec: { type: 'pulley', position: 'tension', teeth: 11 },
  },
  { kind: 'fit', at: noon(1, 1), part: 'tension', bike: 'heron' },
  { kind: 'look', at: noon(3, 1), part: 'tension', word: 'spent' },
]

function proposedOn(drafts: readonly EntryDraft[]) {
  const log = [...commuter, ...hundreds, ...drafts]
  const garage = replay(written(log))
  return proposedJobs(garage, reportOn(log), answerOf(garage, JUDGED_AT, 'chain'), undefined, PRICES)
}
const idsOn = (drafts: readonly EntryDraft[]): string[] => proposedOn(drafts).map(({ id }) => id)

describe('what could be done to a drivetrain', () => {
  test('a sound one asks for nothing', () => {
    expect(idsOn([LUBED, ...measuredAt(0.15)])).toEqual([])
  })

  test('a chain past its limit is proposed; lube that is used up, and pulleys that are spent, too', () => {
    const ids = idsOn([LUBED_LONG_AGO, ...measuredAt(0.6), ...pulley])
    expect(ids).toEqual(['chain', 'pulleys', 'derailleur', 'lube'])
  })

  test('worn cogs bring the cassette, which needs a chain, as the chain needs the cassette', () => {
    const jobs = proposedOn([LUBED, ...measuredAt(0.95), cogLooked('spent')])
    expect(jobs.map(({ id }) => id)).toEqual(['chain', 'cassette'])
    expect(jobs.find(({ id }) => id === 'cassette')?.needs).toEqual(['chain'])
    const list = {
      jobs: jobs.map((one): VisitJob => ({ ...one, name: one.id, outcome: 'open' })),
      hour: 0,
      safetyTimes: 5,
    }
    expect(chooseJobs(list, PRICES.chain).chosen).toEqual([])
    expect(chooseJobs(list, PRICES.chain + PRICES.cassette).chosen).toEqual(['cassette', 'chain'])
  })
})

const visited = (jobs: readonly Partial<VisitJob>[], day: number, more: object = {}): EntryDraft => ({
  kind: 'visit',
  at: noon(3, day),
  visit: `v${day}`,
  bike: 'heron',
  currency: 'EUR',
  sum: 5000,
  hour: 0,
  safetyTimes: 5,
  isClosed: true,
  jobs: jobs.map((one) => ({
    id: 'pulleys',
    name: 'New pulleys',
    isSafety: false,
    price: 2000,
    minutes: 15,
    worth: 5,
    outcome: 'left',
    ...one,
  })),
  ...more,
})
const adviceOn = (drafts: readonly EntryDraft[]) => {
  const garage = replay(written([...commuter, ...drafts]))
  const bike = garage.bikes.get('heron')
  return bike ? openAdvice(garage, bike, JUDGED_AT) : []
}

describe('advice that comes back', () => {
  test('is open until it is done, and due once its distance or its day has come', () => {
    expect(adviceOn([visited([{ byKm: 150 }], 1), ride(3, 5, 100)])).toMatchObject([
      { job: { id: 'pulleys' }, km: 100, isDue: false },
    ])
    expect(adviceOn([visited([{ byKm: 150 }], 1), ride(3, 5, 100), ride(3, 6, 100)])[0]?.isDue).toBe(true)
    expect(adviceOn([visited([{ byDay: noon(3, 20) }], 1)])[0]?.isDue).toBe(true)
    expect(adviceOn([visited([{ byDay: noon(5, 20) }], 1)])[0]?.isDue).toBe(false)
    expect(adviceOn([visited([{}], 1), visited([{ outcome: 'done' }], 9)])).toEqual([])
  })

  test('safety is due at once; a visit that is not over advises nothing', () => {
    expect(adviceOn([visited([{ id: 'brake', isSafety: true }], 1)])[0]?.isDue).toBe(true)
    expect(adviceOn([visited([{}], 1, { isClosed: false })])).toEqual([])
  })

  test('a part that goes on does its job, and what another stood in for is not advised', () => {
    expect(adviceOn([visited([{}], 1)])).toHaveLength(1)
    const [part, fit] = pulley
    if (!part || !fit) throw new Error('no pulley')
    expect(adviceOn([visited([{}], 1), part, { ...fit, at: noon(3, 10) }])).toEqual([])
    const both = [{ excludes: ['derailleur'] }, { id: 'derailleur', outcome: 'done' as const }]
    expect(adviceOn([visited(both, 1)])).toEqual([])
  })
})

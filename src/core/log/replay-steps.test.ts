import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  commuter,
  joiningLink,
  kite,
  kiteChain,
  noon,
  ride,
  ruleReading,
  written,
} from '../../../test/log.ts'
import { toEnd } from '../job.ts'
import { bikeReport, bikeReportSteps } from '../strategy/facts/bike-report.ts'
import { allChainFacts, chainFacts, chainFactsSteps } from '../strategy/facts/chain-facts.ts'
import type { Entry, EntryDraft } from './entries.ts'
import { fittedChain, fittedLink, fittedParts, openFitting, type Garage } from './garage.ts'
import { kindOf } from './kind-of.ts'
import { replay, replaySteps } from './replay.ts'
import { followLog } from './replay-more.ts'

const onKite = (month: number, day: number, km: number) => ride(month, day, km, { bike: 'kite' })
const log = written([
  ...commuter,
  joiningLink,
  { kind: 'fit', at: noon(1, 2), part: 'link', bike: 'heron' },
  kite,
  ...kiteChain,
  ride(1, 9, 30),
  onKite(1, 9, 31),
  ride(1, 5, 100),
  onKite(1, 5, 40),
  ruleReading(2, 1, 305.2),
  { kind: 'remove', at: noon(2, 3), part: 'kite-chain', to: 'shelf' },
  { kind: 'ride', at: noon(2, 9), bike: 'heron', km: 55 },
])
const shuffled = fc.shuffledSubarray([...log], { minLength: log.length, maxLength: log.length })
const kmOf = (garage: Garage, bike: string) =>
  garage.bikes.get(bike)?.rides.map(({ at, km }) => [at.slice(0, 10), km])

describe('a log gone through in steps', () => {
  test('comes to the garage that it comes to in one go, in whatever order its entries arrived', () => {
    const whole = replay(log)
    fc.assert(
      fc.property(shuffled, (entries) => {
        const { garage, rest } = toEnd(replaySteps(entries))
        expect(garage).toEqual(whole)
        expect(rest.some((entry) => kindOf(entry).changesRides)).toBe(false)
        expect(rest).toHaveLength(log.filter((entry) => !kindOf(entry).changesRides).length)
      }),
    )
  })

  test('rests after each bike, so that no step grows with the workshop', () => {
    const steps = (entries: readonly Entry[]) => [...replaySteps(entries)].length
    const bikes = Array.from({ length: 20 }, (_, i): EntryDraft[] => [
      { ...kite, bike: `k${i}`, name: `Kite ${i}` } as EntryDraft,
      ride(1, 3, 10, { bike: `k${i}` }),
    ]).flat()
    expect(steps(written(bikes))).toBeGreaterThanOrEqual(steps(log) + 2 * 18)
  })

  test('has the rides of each bike in order of time, though they came in another', () => {
    const { garage } = toEnd(replaySteps([...log].reverse()))
    expect(kmOf(garage, 'heron')).toEqual([
      ['2026-01-05', 100],
      ['2026-01-09', 30],
      ['2026-02-09', 55],
    ])
    expect(kmOf(garage, 'kite')).toEqual([
      ['2026-01-05', 40],
      ['2026-01-09', 31],
    ])
  })

  test('is followed on from where it was gone through', () => {
    const half = log.slice(0, -3)
    const follow = followLog({ entries: half, replayed: toEnd(replaySteps(half)) })
    expect(follow(half)).toEqual(replay(half))
    const more = [...half, ...log.slice(-3)]
    expect(follow(more)).toEqual(replay(log))
    expect(follow(more)).toBe(follow(more))
  })
})

describe('the parts on a bike', () => {
  test('are those whose last fitting there is open, whatever else the log holds', () => {
    fc.assert(
      fc.property(shuffled, fc.constantFrom('heron', 'kite', 'nobody’s'), (entries, bike) => {
        const garage = replay(entries)
        const onIt = [...garage.parts.values()].filter((part) => openFitting(part)?.bike === bike)
        expect(fittedParts(garage, bike)).toEqual(onIt)
        for (const type of ['chain', 'cassette', 'ring', 'joining-link', 'pulley'] as const)
          expect(fittedParts(garage, bike, type)).toEqual(
            onIt.filter(({ entry }) => entry.spec.type === type),
          )
      }),
    )
  })

  test('go with what comes off, and come with what is fitted', () => {
    const garage = replay(log)
    expect(fittedChain(garage, 'kite')).toBeUndefined()
    expect(fittedChain(garage, 'heron')?.entry.part).toBe('chain')
    expect(fittedLink(garage, 'heron')?.entry.part).toBe('link')
    const moved = replay([
      ...log,
      ...written([{ kind: 'fit', at: noon(3, 1), part: 'chain', bike: 'kite' }], Date.UTC(2026, 5, 1)),
    ])
    expect(fittedChain(moved, 'heron')).toBeUndefined()
    expect(fittedChain(moved, 'kite')?.entry.part).toBe('chain')
  })
})

describe('what the log says of every bike and chain, in steps', () => {
  const garage = replay(log)
  const now = noon(3, 1)

  test('is the very same as in one go', () => {
    expect(allChainFacts(garage)).toEqual(['chain', 'kite-chain'].map((id) => chainFacts(garage, id)))
    const reports = toEnd(bikeReportSteps(garage, now))
    expect(reports.map(({ bike }) => bike.entry.bike)).toEqual(['heron', 'kite'])
    for (const report of reports) expect(bikeReport(garage, report.bike, now)).toBe(report)
  })

  test('rests after each chain and each bike', () => {
    const chains = [...chainFactsSteps(garage)].length
    expect(chains).toBe(2)
    expect([...bikeReportSteps(garage, now)]).toHaveLength(chains + garage.bikes.size)
  })
})

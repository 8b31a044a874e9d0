import { describe, expect, test } from '@jest/globals'
import { lengthAtElongation } from '../measure/elongation.ts'
import type { Reading } from '../measure/reading.ts'
import type { RoadPiece } from '../exposure/roads.ts'
import type { AskedChain } from './asked-chain.ts'
import { toEnd } from '../job.ts'
import type { WearAnswer } from './outlook.ts'
import { riderOutlookSteps } from './rider-outlook.ts'
import { doubtsReading, type Surprise } from './surprise.ts'
import { missingPastChance } from './missing-past.ts'

const caliper = (percent: number): Reading => {
  const length = lengthAtElongation(8, percent)
  return { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 }
}
const rule = (percent: number): Reading => ({
  instrument: 'rule',
  pitches: 24,
  lengthMm: lengthAtElongation(24, percent),
})
const scale = (percent: number): Reading => ({ instrument: 'three-contact-scale', percent })
const dry = (km: number): RoadPiece[] => [{ km, condition: 'dry-road' }]
const at = (km: number, ...readings: readonly Reading[]): AskedChain['readings'] =>
  readings.map((reading) => ({ reading, road: dry(km) }))

/** A chain of 0.17 % per 1000 km, read thrice on its way to 2000 km, and now. */
function chainRead(last: AskedChain['readings'], changes: Partial<AskedChain> = {}): AskedChain {
  const earlier = [500, 1000, 1500].flatMap((km) => at(km, caliper(0.17e-3 * km)))
  const [first] = last
  return {
    id: 'chain',
    past: 'new',
    readings: [...earlier, ...last],
    lookSize: last.length,
    examined: [{ first: 3, size: last.length }],
    links: 114,
    now: first ? [...first.road] : [],
    limit: 0.5,
    drawAt: [],
    ahead: { stretches: [{ days: 7, km: 70, perKm: dry(1) }], paceLogSd: 0.1, idle: false },
    ...changes,
  }
}
const surpriseOf = (chain: AskedChain, ...others: readonly AskedChain[]): Surprise | undefined =>
  (
    toEnd(riderOutlookSteps({ chains: [chain, ...others], seasons: [], seed: 5 })).chains[
      chain.id
    ] as WearAnswer
  ).surprise
const likeliest = (surprise: Surprise | undefined) => surprise?.causes[0]?.cause

describe('a look', () => {
  test('that is as was to be expected asks nothing', () => {
    expect(surpriseOf(chainRead(at(2000, caliper(0.35))))).toBeUndefined()
    expect(surpriseOf(chainRead(at(2000, rule(0.5))))).toBeUndefined()
  })

  test('with a rule that says 1.5 % where 0.34 was to be expected asks whether it was misread', () => {
    const surprise = surpriseOf(chainRead(at(2000, rule(1.5))))
    expect(likeliest(surprise)?.kind).toBe('gauge')
    expect(surprise?.expected.p95).toBeLessThan(0.5)
    expect(surprise?.read).toBeGreaterThan(1)
    expect(surprise && doubtsReading(surprise)).toBe(true)
    expect(surprise?.asLogged).toBeLessThan(0.05)
  })

  test('with two tools that both say far more asks for the rides that are missing', () => {
    const surprise = surpriseOf(chainRead(at(2000, caliper(0.62), scale(0.66))))
    expect(likeliest(surprise)?.kind).toBe('missing-road')
    expect(surprise && doubtsReading(surprise)).toBe(false)
  })

  test('that is worn three times over, on a chain with no ride in the log, asks for the rides', () => {
    const unridden = {
      now: dry(0),
      readings: at(0, rule(1.05), rule(1.06), rule(1.04)),
      lookSize: 3,
      examined: [{ first: 0, size: 3 }],
    }
    const surprise = surpriseOf(chainRead([], unridden))
    expect(likeliest(surprise)?.kind).toBe('missing-road')
    expect(surprise && doubtsReading(surprise)).toBe(false)
  })

  test('of next to nothing on a worn chain asks for a swap that is not in the log', () => {
    const surprise = surpriseOf(chainRead(at(2600, caliper(0.01), scale(0.03))))
    expect(likeliest(surprise)?.kind).toBe('swapped')
  })

  test('that fits another chain of the same length asks whether it was that one', () => {
    const other = chainRead(at(6000, caliper(1.02), scale(1.05)), { id: 'other' })
    const surprise = surpriseOf(chainRead(at(2000, caliper(1.01), scale(1.04))), other)
    expect(likeliest(surprise)).toEqual({ kind: 'wrong-chain', chain: 'other' })
    const longer = surpriseOf(chainRead(at(2000, caliper(1.01), scale(1.04))), { ...other, links: 120 })
    expect(longer?.causes.map(({ cause }) => cause.kind)).not.toContain('wrong-chain')
  })

  test('says where the chain is under each of them', () => {
    const misread = surpriseOf(chainRead(at(2000, rule(1.5))))
    const ifSo = (surprise: Surprise | undefined, kind: string): number | undefined =>
      surprise?.causes.find(({ cause }) => cause.kind === kind)?.ifSo.p50
    // Where the log puts it if the rule was misread, where the rule has it if rides are missing.
    expect(ifSo(misread, 'gauge')).toBeCloseTo(0.34, 1)
    expect(ifSo(misread, 'missing-road') ?? 1.5).toBeGreaterThan(0.8)
    const swapped = surpriseOf(chainRead(at(2600, caliper(0.01), scale(0.03))))
    expect(Math.abs(ifSo(swapped, 'swapped') ?? NaN)).toBeLessThan(0.06)
    // What was ridden since the look wears it on.
    const later = surpriseOf(chainRead(at(2600, caliper(0.01), scale(0.03)), { now: dry(3600) }))
    expect((ifSo(later, 'swapped') ?? NaN) - (ifSo(swapped, 'swapped') ?? NaN)).toBeGreaterThan(0.1)
  })

  test('chances are chances: in order, over nothing, and no more than one together', () => {
    const surprise = surpriseOf(chainRead(at(2000, rule(1.5))))
    const ps = surprise?.causes.map(({ p }) => p) ?? []
    expect(ps.length).toBeGreaterThan(0)
    expect([...ps].sort((a, b) => b - a)).toEqual(ps)
    expect(ps.every((p) => p > 0)).toBe(true)
    expect(ps.reduce((a, b) => a + b, 0) + (surprise?.asLogged ?? 0)).toBeLessThanOrEqual(1 + 1e-9)
  })

  test('before the last is asked about too: a chain that got shorter, with what was read of it since', () => {
    const since = [...at(2000, caliper(0.03)), ...at(2500, caliper(0.11)), ...at(3000, caliper(0.2))]
    const everyLook = [5, 4, 3, 2, 1, 0].map((first) => ({ first, size: 1 }))
    const chain = chainRead(since, { lookSize: 1, examined: everyLook, now: dry(3000) })
    const surprise = surpriseOf(chain)
    expect(surprise).toMatchObject({ look: { first: 3, size: 1 }, isLast: false })
    expect(likeliest(surprise)?.kind).toBe('swapped')
    expect(surprise?.causes[0]?.ifSo.p50).toBeCloseTo(0.2, 1)
    // Only the last look, which goes with the one before it, would have told nothing.
    expect(surpriseOf({ ...chain, examined: [] })).toBeUndefined()
  })

  test('the first at a chain of unknown past is never a surprise', () => {
    const found = chainRead(at(50, caliper(0.9)), { past: 'unknown' })
    expect(
      surpriseOf({
        ...found,
        readings: at(50, caliper(0.9)),
        lookSize: 1,
        examined: [{ first: 0, size: 1 }],
      }),
    ).toBeUndefined()
  })
})

describe('a missing past', () => {
  const chain = (km: number, ...readings: readonly Reading[]) => ({
    id: 'chain',
    past: 'new' as const,
    readings: at(km, ...readings),
  })

  test('is suspected where a chain is far more worn than its distance', () => {
    expect(missingPastChance(chain(100, caliper(0.7), caliper(0.72)))).toBeGreaterThan(0.9)
  })

  test('and not where it fits, where nothing was read, or where the past is unknown anyway', () => {
    expect(missingPastChance(chain(2000, caliper(0.4)))).toBe(0)
    expect(missingPastChance(chain(2000))).toBe(0)
    expect(missingPastChance({ ...chain(100, caliper(0.7)), past: 'unknown' })).toBe(0)
  })
})

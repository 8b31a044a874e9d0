import { describe, expect, test } from '@jest/globals'
import { toEnd } from '../job.ts'
import { intervalOf } from '../stats/interval.ts'
import type { KeptDraws } from '../wear/kept-draws.ts'
import type { AskedSet, PlacedEvidence, TeethAsk } from './asked-teeth.ts'
import { conformed, followRate } from './conform.ts'
import { skipChance } from './skipping.ts'
import { COG_LOG_SD, SET_LOG_SD } from './set-likelihood.ts'
import { teethOutlookSteps } from './teeth-outlook.ts'

const COUNT = 500
const list = (value: number): Float32Array => new Float32Array(COUNT).fill(value)
/** A rider of whom everything about the chain is known: 0.2 % per 1000 wear-km, from 0. */
const draws: KeptDraws = {
  count: COUNT,
  beta: list(1),
  lateTimes: list(1),
  lateFrom: list(9),
  rider: list(0.2),
  times: {},
  chains: {
    chain: {
      rate: list(0.2),
      start: list(0),
      wearKm: list(3000),
      beta: list(1),
      lateTimes: list(1),
      lateFrom: list(9),
    },
  },
}
const cassette = (evidence: readonly PlacedEvidence[], changes: Partial<AskedSet> = {}): AskedSet => ({
  part: 'cassette',
  role: 'cog',
  past: 'new',
  sprockets: [13, 15, 17].map((teeth) => ({ teeth, material: 'steel' })),
  stretches: [
    { chain: 'chain', gone: [], road: [{ km: 1500, condition: 'dry-road' }], loads: [2, 3, 1] },
    { chain: 'chain', road: [{ km: 1500, condition: 'dry-road' }], loads: [2, 3, 1] },
  ],
  evidence,
  ...changes,
})
const outlookOf = (...sets: readonly AskedSet[]) => {
  const ask: TeethAsk = { named: 'test', draws, sets, seed: 3 }
  return toEnd(teethOutlookSteps(ask))
}
const cogOf = (outlook: ReturnType<typeof outlookOf>, j: number, part = 'cassette') => {
  const cog = outlook.sets[part]?.sprockets[j]
  if (!cog) throw new Error('no such cog')
  return cog
}
const slipped = (sprocket: number): PlacedEvidence => ({
  sprocket,
  after: 2,
  found: { kind: 'ride', result: 'skipped' },
})

describe('without anything found out', () => {
  test('teeth are where the road has them, give or take what the law does not know', () => {
    const outlook = outlookOf(cassette([]))
    const road = conformed(0, { wearKm: 3000, from: 0, to: 0.6 }, 3, followRate('cog', 'steel'))
    expect(cogOf(outlook, 1).before.p50).toBeCloseTo(road, 6)
    const logs = Float64Array.from(cogOf(outlook, 1).worn, (w) => Math.log(w / road))
    const { p10, p50, p90 } = intervalOf(logs)
    expect(p50).toBeCloseTo(0, 1)
    expect((p90 - p10) / (2 * 1.2816)).toBeCloseTo(Math.hypot(SET_LOG_SD, COG_LOG_SD), 1)
  })

  test('a cassette of unknown past may have done anything up to 1 %', () => {
    const { after } = cogOf(outlookOf(cassette([], { past: 'unknown', stretches: [] })), 0)
    expect(after.p10).toBeLessThan(0.2)
    expect(after.p90).toBeGreaterThan(0.75)
  })
})

describe('what was found out', () => {
  test('about one cog says something of its neighbours, and less of another cassette', () => {
    const other = cassette([], { part: 'other' })
    const [before, after] = [outlookOf(cassette([]), other), outlookOf(cassette([slipped(0)]), other)]
    const fresh = (outlook: ReturnType<typeof outlookOf>, j: number, part?: string) =>
      skipChance(cogOf(outlook, j, part), outlook)
    expect(fresh(after, 0)).toBeGreaterThan(fresh(before, 0))
    expect(cogOf(after, 1).mean).toBeGreaterThan(cogOf(before, 1).mean)
    expect(cogOf(after, 1, 'other').mean - cogOf(before, 1, 'other').mean).toBeLessThan(
      cogOf(after, 1).mean - cogOf(before, 1).mean,
    )
  })

  test('skips move the rider’s own threshold down, hard pushes that held move it up', () => {
    const held = (sprocket: number): PlacedEvidence => ({
      sprocket,
      after: 2,
      found: { kind: 'ride', result: 'held' },
    })
    const spent = (sprocket: number): PlacedEvidence => ({
      sprocket,
      after: 2,
      found: { kind: 'look', word: 'swap' },
    })
    const skips = outlookOf(cassette([slipped(0), slipped(1), spent(0), spent(1)]))
    const holds = outlookOf(cassette([held(0), held(1), spent(0), spent(1)]))
    expect(skips.threshold.after.p50).toBeLessThan(holds.threshold.after.p50)
    expect(skips.threshold.before.p50).toBe(0)
  })

  test('a picture of teeth whose road is well known says what a % is worth in mm', () => {
    const wide = outlookOf(
      cassette([0, 1, 2].map((sprocket) => ({ sprocket, after: 2, found: { kind: 'picture', mm: 0.6 } }))),
    )
    expect(wide.mmPerPercent.after.p50).toBeGreaterThan(wide.mmPerPercent.before.p50)
  })

  test('long ago counts as of then: a cog that looked fresh halfway may be worn by now', () => {
    const early = outlookOf(cassette([{ sprocket: 1, after: 1, found: { kind: 'look', word: 'good' } }]))
    const late = outlookOf(cassette([{ sprocket: 1, after: 2, found: { kind: 'look', word: 'good' } }]))
    expect(cogOf(early, 1).mean).toBeGreaterThan(cogOf(late, 1).mean)
  })

  test('that cannot be leaves all as the road has it', () => {
    const impossible = Array.from({ length: 60 }, (): PlacedEvidence => ({
      sprocket: 0,
      after: 0,
      found: { kind: 'look', word: 'spent' },
    }))
    const outlook = outlookOf(cassette(impossible))
    expect(Number.isFinite(cogOf(outlook, 0).mean)).toBe(true)
    expect(cogOf(outlook, 1).mean).toBeGreaterThan(0)
  })
})

test('a chain as worn as it is slips less than a fresh one; the draws are the same every time', () => {
  const outlook = outlookOf(cassette([slipped(1)]))
  const cog = cogOf(outlook, 1)
  const on = outlook.chains['chain']
  expect(on?.every((e) => Math.abs(e - 0.6) < 1e-6)).toBe(true)
  expect(skipChance(cog, outlook, on)).toBeLessThan(skipChance(cog, outlook))
  expect([...cogOf(outlookOf(cassette([slipped(1)])), 1).worn]).toEqual([...cog.worn])
})

import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { lengthAtElongation } from '../measure/elongation.ts'
import { INSTRUMENTS, readingSd } from '../measure/instruments.ts'
import type { Reading } from '../measure/reading.ts'
import type { RoadPiece } from '../exposure/roads.ts'
import { biasSpreads, biasSpreadsSlope, tailBend } from '../measure/bias-tail.ts'
import { slipOf } from '../measure/slip.ts'
import { chainDraws, drawRiderSteps } from './draws.ts'
import { toEnd } from '../job.ts'
import { laplaceOf } from './laplace.ts'
import type { Metric } from './metric.ts'
import { expNearZero, nearLogs } from './near-power.ts'
import { logDensityOf } from './rider-density.ts'
import { riderModel, START_SD, type RiderChain } from './rider-model.ts'

const rule = (percent: number): Reading => ({
  instrument: 'rule',
  pitches: 24,
  lengthMm: lengthAtElongation(24, percent),
})
const road = (km: number, condition: RoadPiece['condition'] = 'dry-road'): RoadPiece[] => [{ km, condition }]
const ridden: readonly RiderChain[] = [
  {
    id: 'a',
    past: 'new',
    readings: [
      { reading: rule(0.2), road: road(1000) },
      { reading: rule(0.5), road: [...road(1000), ...road(500, 'mud')] },
      {
        reading: { instrument: 'two-contact-limit', limit: 0.5, result: 'drops' },
        road: [...road(1400), ...road(500, 'mud')],
      },
    ],
  },
  { id: 'b', past: 'unknown', readings: [{ reading: rule(0.4), road: road(800, 'wet-road') }] },
]

/** What drift and kick do, as matrices. */
function matrices(
  metric: Metric,
  dimension: number,
): { readonly drift: number[][]; readonly kick: number[][] } {
  const column = (move: Metric['drift'], j: number): number[] => {
    const [to, unit] = [new Float64Array(dimension), new Float64Array(dimension)]
    unit[j] = 1
    move(to, unit, 1)
    return [...to]
  }
  const columns = (move: Metric['drift']) => Array.from({ length: dimension }, (_, j) => column(move, j))
  const transposed = (of: number[][]) => of.map((_, i) => of.map((each) => each[i] ?? NaN))
  return {
    drift: transposed(columns((to, from, by) => metric.drift(to, from, by))),
    kick: transposed(columns((to, from, by) => metric.kick(to, from, by))),
  }
}

describe('where a sampler begins', () => {
  const model = riderModel(ridden)
  const density = logDensityOf(model)
  const start = laplaceOf(model, density)

  test('at a summit: no step in any direction is higher', () => {
    const slope = new Float64Array(model.dimension)
    const top = density(start.at, slope)
    for (let i = 0; i < model.dimension; i++)
      for (const by of [-0.05, 0.05]) {
        const near = Float64Array.from(start.at)
        near[i] = (near[i] ?? 0) + by
        expect(density(near, slope)).toBeLessThanOrEqual(top + 0.005)
      }
  })

  test('kick is drift the other way round, as one matrix and its transpose', () => {
    const { drift, kick } = matrices(start.metric, model.dimension)
    drift.forEach((row, i) => row.forEach((value, j) => expect(value).toBeCloseTo(kick[j]?.[i] ?? NaN, 9)))
  })

  test('no coordinate is wider than its prior, and those that were read of are narrower', () => {
    const { drift } = matrices(start.metric, model.dimension)
    const variance = drift.map((row) => row.reduce((sum, value) => sum + value * value, 0))
    for (const one of variance.slice(0, model.places.chains)) expect(one).toBeLessThanOrEqual(1 + 1e-9)
    expect(Math.min(...variance)).toBeLessThan(0.5)
  })

  test('where nothing was read it is the prior itself', () => {
    const bare = riderModel([], road(100, 'mud'))
    const { drift } = matrices(laplaceOf(bare, logDensityOf(bare)).metric, bare.dimension)
    drift.forEach((row, i) => row.forEach((value, j) => expect(value).toBeCloseTo(i === j ? 1 : 0, 9)))
  })
})

describe('a chain that was read before its first ride', () => {
  // Start and bias are then all there is: two dimensions, whose spread and mean can be worked out by hand.
  const times = 3
  const chains: RiderChain[] = [
    {
      id: 'fresh',
      past: 'new',
      readings: Array.from({ length: times }, () => ({ reading: rule(0.1), road: road(0) })),
    },
  ]
  const model = riderModel(chains)
  const density = logDensityOf(model)
  const tool = model.tools[0]?.place ?? NaN
  const own = model.places.chains + 1

  test('its metric is the closed form', () => {
    const { at, metric } = laplaceOf(model, density)
    const { drift } = matrices(metric, model.dimension)
    const y = at[tool] ?? NaN
    const sb = INSTRUMENTS.rule.bias.sb * biasSpreadsSlope(y)
    // All three agree so well with a new chain that hardly any of them is a slip; below the bend wear is a little slower.
    const sd = readingSd(rule(0.1))
    const { share } = slipOf({ reading: rule(0.1) }, { form: 'value', value: 0.1, sd })
    const elongation = START_SD * (at[own] ?? 0)
    const off = (0.1 - elongation - INSTRUMENTS.rule.bias.sb * biasSpreads(y)) / sd
    const sound = 0.97 * Math.exp(-0.5 * off * off)
    const weight = ((times / sd ** 2) * sound) / (sound + share)
    const [p, q, r] = [tailBend(y) + weight * sb * sb, weight * sb * START_SD, 1 + weight * START_SD ** 2]
    const determinant = p * r - q * q
    const covariance = (i: number, j: number) =>
      (drift[i] ?? []).reduce((sum, value, k) => sum + value * (drift[j]?.[k] ?? NaN), 0)
    expect(covariance(tool, tool)).toBeCloseTo(r / determinant, 3)
    expect(covariance(own, own)).toBeCloseTo(p / determinant, 3)
    expect(covariance(tool, own)).toBeCloseTo(-q / determinant, 3)
  })

  test('and the draws are what sums over an even lattice come to', () => {
    const options = { seed: 4, chains: 2, draws: 3000, warmUp: 150 }
    const { start } = chainDraws(toEnd(drawRiderSteps(chains, [], options)), { id: 'fresh', past: 'new' }, 1)
    const mean = start.reduce((x, y) => x + y, 0) / start.length
    const spread = Math.sqrt(start.reduce((sum, one) => sum + (one - mean) ** 2, 0) / start.length)
    const [z, slope] = [new Float64Array(model.dimension), new Float64Array(model.dimension)]
    let [total, first, second] = [0, 0, 0]
    for (let y = -6; y <= 6; y += 0.1)
      for (let u = -5; u <= 5; u += 0.1) {
        z[tool] = y
        z[own] = u
        const mass = Math.exp(density(z, slope))
        total += mass
        first += mass * START_SD * u
        second += mass * (START_SD * u) ** 2
      }
    const exact = first / total
    expect(mean).toBeCloseTo(exact, 3)
    expect(spread / Math.sqrt(second / total - exact ** 2)).toBeCloseTo(1, 1)
  })
})

describe('functions near where they were last asked', () => {
  test('logarithms are right to a few parts in a million million, wherever they walk', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1e-6, max: 1e4, noNaN: true }), { minLength: 1 }), (walk) => {
        const log = nearLogs(1)
        for (const x of walk) expect(Math.abs(log(x, 0) - Math.log(x))).toBeLessThan(1e-11)
        const last = walk.at(-1) ?? 1
        for (const times of [1.1, 0.92, 1.3])
          expect(Math.abs(log(last * times, 0) - Math.log(last * times))).toBeLessThan(1e-11)
      }),
    )
  })

  test('so is the exponential function, near nought and far from it', () => {
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), (u) => {
        expect(Math.abs(expNearZero(u) / Math.exp(u) - 1)).toBeLessThan(1e-10)
      }),
    )
    expect(expNearZero(NaN)).toBeNaN()
  })
})

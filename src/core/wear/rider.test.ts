import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { seededRandom } from '../stats/random.ts'
import { lengthAtElongation } from '../measure/elongation.ts'
import type { Reading } from '../measure/reading.ts'
import { effectiveSize, rHat } from '../stats/diagnostics.ts'
import { sampleHmc, sampleHmcSteps, type LogDensity, type SampleStart } from './hmc.ts'
import { spreadMetric } from './metric.ts'
import { forecastRider, type RiderQuestion } from './rider-forecast.ts'
import { logDensityOf } from './rider-density.ts'
import { chainState, kindTimes, riderModel, wearKmOf, type RiderChain } from './rider-model.ts'
import type { RoadPiece } from '../exposure/roads.ts'

const rule = (percent: number): Reading => ({
  instrument: 'rule',
  pitches: 24,
  lengthMm: lengthAtElongation(24, percent),
})
const side = (limit: number, result: 'clear' | 'drops'): Reading => ({
  instrument: 'two-contact-limit',
  limit,
  result,
})
const road = (
  km: number,
  condition: RoadPiece['condition'] = 'dry-road',
  lube?: RoadPiece['lube'],
): RoadPiece => ({
  km,
  condition,
  lube,
})
const chain = (id: string, readings: readonly (readonly [Reading, readonly RoadPiece[]])[]): RiderChain => ({
  id,
  past: 'new',
  readings: readings.map(([reading, of]) => ({ reading, road: of })),
})

const mixed: readonly RiderChain[] = [
  chain('a', [
    [rule(0.1), [road(500), road(100, 'mud')]],
    [side(0.5, 'clear'), [road(900), road(300, 'mud', 'drip-wax')]],
    [rule(0.42), [road(1500, 'dry-road', 'wet-lube'), road(300, 'mud', 'drip-wax')]],
  ]),
  chain('b', [
    [side(0.5, 'drops'), [road(2500, 'wet-road'), road(200, 'dry-gravel', 'wet-lube')]],
    [rule(0.55), [road(2500, 'wet-road'), road(400, 'dry-gravel', 'wet-lube')]],
  ]),
  { ...chain('c', [[rule(0.3), [road(0)]]]), past: 'unknown' },
]

describe('the model of a rider’s chains', () => {
  test('its slopes are those of its density', () => {
    const model = riderModel(mixed)
    const density = logDensityOf(model)
    const spare = new Float64Array(model.dimension)
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -1.5, max: 1.5, noNaN: true }), {
          minLength: model.dimension,
          maxLength: model.dimension,
        }),
        (coordinates) => {
          const z = Float64Array.from(coordinates)
          const slope = new Float64Array(model.dimension)
          density(z, slope)
          for (let i = 0; i < model.dimension; i++) {
            const h = 1e-5
            const at = (by: number) => density(z.with(i, (z[i] ?? 0) + by), spare)
            const measured = (at(h) - at(-h)) / (2 * h)
            // Slopes of a limit reading come from its table, which is right to a few in ten thousand.
            expect(Math.abs((slope[i] ?? 0) - measured)).toBeLessThan(2e-3 * (1 + Math.abs(measured)))
          }
        },
      ),
      { numRuns: 40 },
    )
  })

  test('is the prior’s median where nothing is said', () => {
    const lengths = [road(100, 'mud'), road(50, 'dry-road', 'drip-wax'), road(50, 'dry-gravel', 'wet-lube')]
    const model = riderModel(mixed, lengths)
    const z = new Float64Array(model.dimension)
    const { lateTimes, ...state } = chainState(model, z, 0)
    expect(state).toEqual({ rate: 0.17, start: 0, beta: 1, lateFrom: 0.45 })
    // A little less than 1 with most riders, for the few with whom it is far more.
    expect(lateTimes).toBeCloseTo(1 + 0.02 - 0.02 * Math.exp(1.4 ** 2 / 2), 12)
    expect(chainState(model, z, 2).start).toBeCloseTo((1.2 - 0.05) / 2, 12)
    // 100 km of mud at 4, 50 on drip wax at 0.8, 50 in dust on wet lube at 1.6 times 1.3.
    expect(wearKmOf(kindTimes(model, z), model.lay(lengths))).toBeCloseTo(
      100 * 4 + 50 * 0.8 + 50 * 1.6 * 1.3,
      9,
    )
  })

  test('learns only of what was ridden and what is asked about', () => {
    expect(riderModel(mixed).factors.map(({ of }) => of)).toEqual([
      'drip-wax',
      'dry-gravel',
      'mud',
      'wet-lube',
      'wet-road',
    ])
    expect(riderModel([], [road(1, 'winter-salt', 'immersion-wax')]).factors.map(({ of }) => of)).toEqual([
      'immersion-wax',
      'winter-salt',
    ])
    // Wet lube out of the dust is drip lube, and that is the unit.
    expect(riderModel([], [road(1, 'dry-road', 'wet-lube')]).factors).toEqual([])
    expect(() => riderModel([], [road(1)]).lay([road(-1)])).toThrow(RangeError)
    expect(() => riderModel([]).lay([road(1)])).toThrow('The model knows no such road.')
  })
})

describe('the sampler', () => {
  const options = { seed: 5, chains: 4, draws: 1500, warmUp: 500 }
  /** A normal with these spreads and a correlation between its first two coordinates. */
  const normal =
    (spreads: readonly number[], correlation: number): LogDensity =>
    (z, slope) => {
      const u = [...z].map((value, i) => value / (spreads[i] ?? 1))
      const [a = 0, b = 0] = u
      const tight = 1 / (1 - correlation ** 2)
      const rest = u.slice(2).reduce((sum, value) => sum + value * value, 0)
      u.forEach((value, i) => (slope[i] = -value / (spreads[i] ?? 1)))
      slope[0] = (-tight * (a - correlation * b)) / (spreads[0] ?? 1)
      slope[1] = (-tight * (b - correlation * a)) / (spreads[1] ?? 1)
      return -0.5 * (tight * (a * a - 2 * correlation * a * b + b * b) + rest)
    }

  const about = (...spreads: number[]): SampleStart[] => {
    const metric = spreadMetric(Float64Array.from(spreads))
    return [{ at: new Float64Array(spreads.length), metric, metricAbout: () => metric }]
  }

  test('draws a normal of known spreads and correlation', () => {
    const spreads = [1, 0.05, 3]
    const sample = sampleHmc(normal(spreads, 0.8), 3, options, about(...spreads))
    const traces = spreads.map((_, i) => sample.chains.map((draws) => draws.filter((__, n) => n % 3 === i)))
    const flat = traces.map((of) => of.flatMap((draws) => [...draws]))
    flat.forEach((values, i) => {
      const mean = values.reduce((a, b) => a + b, 0) / values.length
      const sd = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length)
      expect(Math.abs(mean) / (spreads[i] ?? 1)).toBeLessThan(0.06)
      expect(sd / (spreads[i] ?? 1)).toBeCloseTo(1, 1)
      expect(rHat(traces[i] ?? [])).toBeLessThan(1.01)
      expect(effectiveSize(traces[i] ?? [])).toBeGreaterThan(800)
    })
    const [a = [], b = []] = flat
    const product = a.reduce((sum, value, n) => sum + value * (b[n] ?? 0), 0) / a.length
    expect(product / 0.05).toBeCloseTo(0.8, 1)
    expect(sample.accepted).toBeGreaterThan(0.6)
  })

  test('gives the same draws for the same seed, others for another, and tells how far it has come', () => {
    const few = { ...options, draws: 100, warmUp: 100 }
    const draws = (seed: number) => sampleHmc(normal([1, 1], 0), 2, { ...few, seed }, about(1, 1)).chains
    expect(draws(1)).toEqual(draws(1))
    expect(draws(1)).not.toEqual(draws(2))
    const told = [...sampleHmcSteps(normal([1, 1], 0), 2, few, about(1, 1))].map(({ done, of }) => done / of)
    expect(told.at(-1)).toBe(1)
    told.forEach((share, i) => expect(share).toBeGreaterThan(told[i - 1] ?? 0))
  })
})

describe('the diagnostics', () => {
  const random = seededRandom(8)
  const white = (count: number, mean = 0) => Array.from({ length: count }, () => random.normal(mean, 1))

  test('independent draws agree and count in full', () => {
    const traces = [white(1000), white(1000), white(1000), white(1000)]
    expect(rHat(traces)).toBeLessThan(1.01)
    expect(effectiveSize(traces)).toBeGreaterThan(2800)
  })

  test('chains that stand apart, or drift, are found out', () => {
    expect(rHat([white(500), white(500, 3)])).toBeGreaterThan(1.5)
    const drifting = white(1000).map((value, i) => value + i / 250)
    expect(rHat([drifting, drifting])).toBeGreaterThan(1.2)
  })

  test('a chain that remembers counts for less: (1 - r) / (1 + r) of its draws', () => {
    const remembering = (): number[] => {
      let held = 0
      return Array.from({ length: 20_000 }, () => (held = 0.8 * held + random.normal(0, 0.6)))
    }
    const size = effectiveSize([remembering(), remembering()])
    expect(size / 40_000).toBeGreaterThan(0.09)
    expect(size / 40_000).toBeLessThan(0.135)
  })

  test('what never changes is no disagreement', () => {
    expect(
      rHat([
        [2, 2, 2, 2],
        [2, 2, 2, 2],
      ]),
    ).toBe(1)
    expect(effectiveSize([[2, 2, 2, 2]])).toBe(4)
  })
})

describe('the forecast from all chains', () => {
  const question: RiderQuestion = {
    chains: mixed,
    chain: 'a',
    now: [road(1600, 'dry-road', 'wet-lube'), road(300, 'mud', 'drip-wax')],
    limit: 0.5,
    ahead: [road(0.7), road(0.3, 'mud')],
  }
  const options = { seed: 1, chains: 4, draws: 2000, warmUp: 600 }

  test('agrees with itself over seeds within 3 % on the median', () => {
    const medians = [1, 2, 3].map((seed) => forecastRider(question, { ...options, seed }).toLimitKm.p50)
    const mean = medians.reduce((a, b) => a + b, 0) / medians.length
    for (const median of medians) expect(Math.abs(median / mean - 1)).toBeLessThan(0.03)
  })

  test('settles, and its answers are in order', () => {
    const answer = forecastRider(question, options)
    expect(answer.rHat).toBeLessThan(1.02)
    expect(answer.effectiveSize).toBeGreaterThan(400)
    const { p10, p50, p90 } = answer.toLimitKm
    expect(p10).toBeGreaterThanOrEqual(0)
    expect(p10).toBeLessThan(p50)
    expect(p50).toBeLessThan(p90)
    expect(answer.nextLookKm).toBe(p10)
    expect(answer.now.p05).toBeLessThan(answer.now.mean)
  })

  test('with no reading it is the prior: what is known of bikes in general', () => {
    const answer = forecastRider(
      { chains: [chain('new', [])], chain: 'new', now: [], limit: 0.5, ahead: [road(1)] },
      options,
    )
    // Rate LogN(log 0.17, 0.58): 0.5 % at about 0.5 / 0.17 thousand km.
    expect(answer?.ratePer1000.p50).toBeCloseTo(0.17, 1)
    expect((answer?.ratePer1000.p90 ?? 0) / (answer?.ratePer1000.p10 ?? 1)).toBeCloseTo(
      Math.exp(2 * 1.2816 * Math.hypot(0.5, 0.3)),
      0,
    )
    expect(Math.abs((answer?.toLimitKm.p50 ?? 0) / (500 / 0.17) - 1)).toBeLessThan(0.06)
  })

  test('another chain of the rider teaches about this one', () => {
    const fast = chain('old', [
      [rule(0.4), [road(1000)]],
      [rule(0.8), [road(2000)]],
    ])
    const about = (chains: readonly RiderChain[]) =>
      forecastRider({ chains, chain: 'new', now: [], limit: 0.5, ahead: [road(1)] }, options).toLimitKm.p50
    const fresh = chain('new', [])
    expect(about([fresh, fast])).toBeLessThan(0.65 * about([fresh]))
  })

  test.each<readonly [string, readonly RiderChain[]]>([
    [
      'readings that go down',
      [
        chain('x', [
          [rule(0.5), [road(800)]],
          [rule(0.2), [road(1600)]],
        ]),
      ],
    ],
    [
      'only limit readings',
      [
        chain('x', [
          [side(0.5, 'clear'), [road(500)]],
          [side(0.75, 'clear'), [road(500)]],
        ]),
      ],
    ],
    ['a chain ridden 0 km found worn', [chain('x', [[rule(0.6), []]])]],
    [
      'instruments that contradict',
      [
        chain('x', [
          [rule(0.2), [road(900)]],
          [side(1, 'drops'), [road(900)]],
        ]),
      ],
    ],
  ])('%s get an answer, never NaN, never a negative distance', (_what, chains) => {
    const answer = forecastRider(
      { chains, chain: 'x', now: chains[0]?.readings.at(-1)?.road ?? [], limit: 0.5, ahead: [road(1)] },
      { ...options, draws: 500, warmUp: 400 },
    )
    for (const figure of [
      answer?.now.mean,
      answer?.toLimitKm.p10,
      answer?.toLimitKm.p50,
      answer?.toLimitKm.p90,
    ])
      expect(Number.isFinite(figure)).toBe(true)
    expect(answer?.toLimitKm.p10).toBeGreaterThanOrEqual(0)
  })

  test('a chain that is not there is said so', () => {
    expect(() => forecastRider({ ...question, chain: 'z' }, options)).toThrow('There is no chain "z".')
  })
})

import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { RoadPiece } from '../exposure/roads.ts'
import { toEnd } from '../job.ts'
import { lengthAtElongation } from '../measure/elongation.ts'
import type { Reading } from '../measure/reading.ts'
import { drawRiderSteps, settledOf } from './draws.ts'
import { sampleHmc, type LogDensity, type SampleStart } from './hmc.ts'
import {
  LATE_FROM,
  lateTimesAt,
  lateTimesSlope,
  lateWear,
  pastBend,
  pastBendSlope,
  plainWear,
} from './late-wear.ts'
import { spreadMetric } from './metric.ts'
import type { RiderChain } from './rider-model.ts'
import { slipChances } from './slips.ts'

const rule = (percent: number): Reading => ({
  instrument: 'rule',
  pitches: 24,
  lengthMm: lengthAtElongation(24, percent),
})
const dry = (km: number): RoadPiece[] => [{ km, condition: 'dry-road' }]
const readAt = (...looks: readonly (readonly [km: number, percent: number])[]): RiderChain => ({
  id: 'chain',
  past: 'new',
  readings: looks.map(([km, percent]) => ({ reading: rule(percent), road: dry(km) })),
})
const OPTIONS = { seed: 6, chains: 4, draws: 600, warmUp: 250 }

describe('late wear', () => {
  const shape = fc.record({
    worn: fc.double({ min: -0.1, max: 2.5, noNaN: true }),
    times: fc.double({ min: 0.9, max: 6, noNaN: true }),
    from: fc.double({ min: 0.25, max: 0.65, noNaN: true }),
  })

  test('is undone by its inverse, grows with what it is made of, and is that itself well before the bend', () => {
    fc.assert(
      fc.property(shape, ({ worn, times, from }) => {
        expect(lateWear(plainWear(worn, times, from), times, from)).toBeCloseTo(worn, 9)
        expect(lateWear(worn + 0.01, times, from)).toBeGreaterThan(lateWear(worn, times, from))
      }),
    )
    expect(Math.abs(lateWear(0, 2, LATE_FROM))).toBeLessThan(0.001)
    // Twice as fast from 0.45 on: 0.65 of plain wear is 0.85.
    expect(lateWear(0.65, 2, LATE_FROM)).toBeCloseTo(0.85, 2)
  })

  test('has the slopes it says, and is as fast as ever in the mean', () => {
    const h = 1e-6
    for (const x of [-0.4, -0.02, 0, 0.03, 0.5])
      expect((pastBend(x + h) - pastBend(x - h)) / (2 * h)).toBeCloseTo(pastBendSlope(x), 5)
    let [mean, total] = [0, 0]
    for (let z = -7; z <= 7; z += 0.01) {
      const weight = Math.exp(-0.5 * z * z)
      mean += weight * lateTimesAt(z)
      total += weight
      expect((lateTimesAt(z + h) - lateTimesAt(z - h)) / (2 * h) / lateTimesSlope(z)).toBeCloseTo(1, 3)
    }
    expect(mean / total).toBeCloseTo(1, 4)
  })
})

describe('slips among the readings', () => {
  test('are told from the rest', () => {
    const chain = readAt([300, 0.06], [600, 0.1], [900, 0.15], [1200, 1.2], [1500, 0.27])
    const chances = slipChances(toEnd(drawRiderSteps([chain], [], OPTIONS))).get('chain') ?? []
    expect(chances[3]).toBeGreaterThan(0.9)
    chances.forEach((chance, i) => expect(chance).toBeLessThan(i === 3 ? 1.001 : 0.15))
  })

  test('are hardly ever seen where all fits', () => {
    const chain = readAt([300, 0.06], [600, 0.1], [900, 0.15], [1200, 0.2])
    const chances = slipChances(toEnd(drawRiderSteps([chain], [], OPTIONS))).get('chain') ?? []
    expect(chances).toHaveLength(4)
    expect(Math.max(...chances)).toBeLessThan(0.06)
  })
})

describe('two hills', () => {
  /** Seven in ten at -9, three in ten at 9 and wider: no path of the sampler crosses between them. */
  const density: LogDensity = (z, slope) => {
    const x = z[0] ?? 0
    const [a, b] = [Math.log(0.7) - 0.5 * (x + 9) ** 2, Math.log(0.3 / 1.5) - 0.5 * ((x - 9) / 1.5) ** 2]
    const top = Math.max(a, b)
    const log = top + Math.log(Math.exp(a - top) + Math.exp(b - top))
    slope[0] = -Math.exp(a - log) * (x + 9) - (Math.exp(b - log) * (x - 9)) / 2.25
    return log
  }
  const at = (middle: number, spread: number): SampleStart => {
    const metric = spreadMetric(Float64Array.of(spread))
    return { at: Float64Array.of(middle), metric, metricAbout: () => metric }
  }

  test('are visited as often as they deserve, by leaps between their summits', () => {
    const { chains } = sampleHmc(density, 1, { ...OPTIONS, draws: 3000 }, [at(-9, 1), at(9, 1.5)])
    const shares = chains.map((draws) => draws.filter((x) => x < 0).length / draws.length)
    expect(Math.abs(shares.reduce((sum, share) => sum + share, 0) / 4 - 0.7)).toBeLessThan(0.04)
    // Each of them knows both hills.
    for (const share of shares) expect(Math.abs(share - 0.7)).toBeLessThan(0.15)
  })

  test('of a chain with two stories to tell do not keep the samplers apart', () => {
    // The last look may be a slip, or this chain wears fast and the first was read low.
    const chain = readAt([300, 0.2], [980, 1.1])
    const settled = settledOf(toEnd(drawRiderSteps([chain], [], OPTIONS)))
    expect(settled.rHat).toBeLessThan(1.02)
    expect(settled.effectiveSize).toBeGreaterThan(200)
  })
})

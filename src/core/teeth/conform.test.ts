import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { conformed, followRate, loadOf, type ChainStretch } from './conform.ts'

/** The law itself, in steps so small that it is as good as exact (Heun's rule). */
function stepped(worn: number, { wearKm, from, to }: ChainStretch, load: number, follow: number): number {
  const steps = 40_000
  const step = wearKm / 1000 / steps
  const speed = (w: number, e: number): number => load * (follow * Math.max(0, e - w) + 0.005)
  let w = worn
  for (let i = 0; i < steps; i++) {
    const [e0, e1] = [i, i + 1].map((n) => from + ((to - from) * n) / steps) as [number, number]
    const first = speed(w, e0)
    w += (step * (first + speed(w + step * first, e1))) / 2
  }
  return w
}

const stretch = fc.record({
  wearKm: fc.double({ min: 10, max: 8000, noNaN: true }),
  from: fc.double({ min: 0, max: 1, noNaN: true }),
  to: fc.double({ min: 0, max: 1.5, noNaN: true }),
})

describe('teeth that follow a chain', () => {
  test('end where small steps of the law end, whichever is ahead', () => {
    fc.assert(
      fc.property(
        stretch,
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        (road, worn, load) => {
          expect(conformed(worn, road, load, 0.18)).toBeCloseTo(stepped(worn, road, load, 0.18), 4)
        },
      ),
      { numRuns: 30 },
    )
  })

  test('come to the same in one stretch or in two', () => {
    fc.assert(
      fc.property(stretch, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (road, share) => {
        const between = road.from + share * (road.to - road.from)
        const first = conformed(0.2, { ...road, wearKm: share * road.wearKm, to: between }, 1.2, 0.18)
        const second = { ...road, wearKm: (1 - share) * road.wearKm, from: between }
        expect(conformed(first, second, 1.2, 0.18)).toBeCloseTo(conformed(0.2, road, 1.2, 0.18), 9)
      }),
    )
  })

  test('never grow back, and stand still where nothing is ridden or borne', () => {
    const road = { wearKm: 3000, from: 0, to: 0.5 }
    expect(conformed(0.9, road, 1, 0.18)).toBeCloseTo(0.9 + 0.005 * 3, 12)
    expect(conformed(0.3, { ...road, wearKm: 0 }, 1, 0.18)).toBe(0.3)
    expect(conformed(0.3, road, 0, 0.18)).toBe(0.3)
  })

  test('follow twice as fast where they are soft; a ring of steel more slowly than a cog', () => {
    expect(followRate('cog', 'aluminium')).toBe(2 * followRate('cog', 'steel'))
    expect(followRate('ring', 'steel')).toBeLessThan(followRate('cog', 'steel'))
  })

  test('six chains to 0.5 %, two to 0.75 and one to 1.0 are what a cassette in middling use takes', () => {
    // What practice reports, and what the law was set by: with the usual share on the cogs that are ridden most.
    const skipsAfter = (until: number): number => {
      const road = { wearKm: (1000 * until) / 0.17, from: 0, to: until }
      let [worn, chains] = [0, 0]
      while (worn < 0.45 + 0.04 && chains < 30) {
        worn = conformed(worn, road, 1.9, 0.18)
        chains++
      }
      return chains
    }
    expect(skipsAfter(0.5)).toBeGreaterThanOrEqual(5)
    expect(skipsAfter(0.75)).toBeLessThan(skipsAfter(0.5) / 2 + 1)
    expect(skipsAfter(1)).toBe(1)
  })
})

test('an even share on the mean cog is a load of 1; a small cog bears more for its share', () => {
  expect(loadOf(1 / 3, 14, [12, 14, 16])).toBeCloseTo(1, 12)
  expect(loadOf(1 / 3, 12, [12, 14, 16])).toBeCloseTo(14 / 12, 12)
  expect(loadOf(1, 42, [42])).toBe(1)
})

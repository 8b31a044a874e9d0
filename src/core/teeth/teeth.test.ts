import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { chainLoop } from '../gearing/chain-loop.ts'
import { crankTurnsPerChain, gear } from '../gearing/ratio.ts'
import { sprocketGeometry } from './geometry.ts'
import { sprocketOutline } from './outline.ts'

describe('sprocket geometry', () => {
  // Unit pitch diameters from the roller-chain sprocket standard's table, times half an inch.
  test.each([
    [9, 2.9238],
    [11, 3.5495],
    [15, 4.8097],
    [20, 6.3925],
    [40, 12.7455],
    [60, 19.1073],
  ])('the pitch diameter of %p teeth is %p pitches', (teeth, unit) => {
    expect(sprocketGeometry(teeth).pitchDiameterMm / 12.7).toBeCloseTo(unit, 3)
  })

  test('an 11 has its seating angle and its flank by the standard’s formulas', () => {
    const { seatAngleDeg, flankRadiusMm, seatRadiusMm } = sprocketGeometry(11)
    expect(seatAngleDeg).toBeCloseTo(120 - 90 / 11, 12)
    expect(flankRadiusMm).toBeCloseTo(0.12 * 7.75 * 13, 12)
    expect(seatRadiusMm).toBeCloseTo(3.91375, 12)
  })

  test('a longer chain stands higher, in proportion', () => {
    expect(sprocketGeometry(40, 0.75).rideUpMm).toBeCloseTo((161.867 * 0.75) / 200, 3)
    expect(sprocketGeometry(40).rideUpMm).toBe(0)
  })

  test.each([4, 11.5, Number.NaN])('%p teeth cannot be', (teeth) => {
    expect(() => sprocketGeometry(teeth)).toThrow(RangeError)
  })

  test('an elongation that is no number is refused', () => {
    expect(() => sprocketGeometry(11, Number.NaN)).toThrow(RangeError)
  })
})

describe('the drawn outline', () => {
  test('lies between root and tip, seats a roller, and repeats tooth by tooth', () => {
    fc.assert(
      fc.property(fc.integer({ min: 9, max: 60 }), (teeth) => {
        const shape = sprocketGeometry(teeth)
        const outline = sprocketOutline(teeth)
        expect(outline.length % teeth).toBe(0)
        const radii = outline.map(({ x, y }) => Math.hypot(x, y))
        const roller = { x: 0, y: shape.pitchDiameterMm / 2 }
        expect(Math.min(...radii)).toBeCloseTo(shape.pitchDiameterMm / 2 - shape.seatRadiusMm, 6)
        expect(Math.max(...radii)).toBeLessThanOrEqual(shape.tipMaxMm / 2 + 1e-9)
        expect(Math.max(...radii)).toBeGreaterThan(shape.pitchDiameterMm / 2)
        for (const point of outline)
          expect(Math.hypot(point.x - roller.x, point.y - roller.y)).toBeGreaterThanOrEqual(
            shape.seatRadiusMm - 1e-6,
          )
      }),
    )
  })

  test('is its own mirror image, as a new tooth is', () => {
    const outline = sprocketOutline(15)
    for (const { x, y } of outline)
      expect(outline.some((other) => Math.hypot(other.x + x, other.y - y) < 1e-6)).toBe(true)
  })

  test('never folds back: the angle round the centre only grows', () => {
    for (const teeth of [9, 11, 15, 28, 52]) {
      const outline = sprocketOutline(teeth)
      let turned = 0
      outline.forEach((point, i) => {
        const next = outline[(i + 1) % outline.length] ?? point
        const step = Math.atan2(point.x * next.y - point.y * next.x, point.x * next.x + point.y * next.y)
        expect(step).toBeGreaterThan(-1e-9)
        turned += step
      })
      expect(turned).toBeCloseTo(2 * Math.PI, 6)
    }
  })
})

describe('the chain as a loop', () => {
  test('is as long as its links, wherever one walks', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 130 }),
        fc.integer({ min: 30, max: 52 }),
        fc.integer({ min: 11, max: 42 }),
        (links, ring, cog) => {
          const loop = chainLoop(links, ring, cog)
          const steps = 40 * links
          let length = 0
          for (let i = 0; i < steps; i++) {
            const [a, b] = [loop.at((i * links) / steps), loop.at(((i + 1) * links) / steps)]
            length += Math.hypot(a.x - b.x, a.y - b.y)
          }
          expect(length / 12.7).toBeCloseTo(links, 1)
        },
      ),
      { numRuns: 20 },
    )
  })

  test('of equal ring and cog is two straight runs and two half turns', () => {
    const loop = chainLoop(100, 30, 30)
    const radius = loop.cogRadiusMm
    expect(2 * loop.centresMm + 2 * Math.PI * radius).toBeCloseTo(1270, 6)
    expect(loop.at(0)).toMatchObject({ on: 'lower run' })
    expect(loop.at(50).on).toBe('upper run')
    expect(loop.at(-1).on).toBe('ring')
  })

  test('that is too short to go round is refused', () => {
    expect(() => chainLoop(20, 52, 42)).toThrow(/too short/)
  })
})

describe('gears', () => {
  test('40 x 20 on a 2100 mm wheel goes 4.2 m a turn, 22.68 km/h at 90', () => {
    const { ratio, developmentM, speedKmh } = gear(2100, 40, 20, 90)
    expect([ratio, developmentM]).toEqual([2, 4.2])
    expect(speedKmh).toBeCloseTo(22.68, 9)
  })

  test('116 links round a 40 ring take 2.9 crank turns', () => {
    expect(crankTurnsPerChain(116, 40)).toBe(2.9)
  })

  test.each([
    [0, 40, 20, 90],
    [2100, 0, 20, 90],
    [2100, 40, 0, 90],
    [2100, 40, 20, -1],
  ])('%p mm, %p x %p at %p is refused', (...input) => {
    expect(() => gear(...input)).toThrow(RangeError)
  })
})

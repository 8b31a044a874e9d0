import { describe, expect, test } from '@jest/globals'
import { sprocketGeometry } from '../geometry.ts'
import { wearShare } from './profile.ts'
import { landMm, leanDeg } from './shape.ts'

const shape = sprocketGeometry(17)

describe('the wear of a flank', () => {
  test('is whole at the pitch circle and half at the root and at the largest tip circle', () => {
    expect(wearShare(17, shape.pitchDiameterMm / 2)).toBe(1)
    expect(wearShare(17, shape.pitchDiameterMm / 2 - shape.seatRadiusMm)).toBeCloseTo(0.5, 9)
    expect(wearShare(17, shape.tipMaxMm / 2)).toBeCloseTo(0.5, 9)
  })

  test('leans a tooth away from the flank that wore more, and not where both wore alike', () => {
    expect(leanDeg(17, [0.3, 0.3])).toBe(0)
    expect(leanDeg(17, [0, 0.6])).toBeCloseTo(-leanDeg(17, [0.6, 0]), 9)
    // By hand: the middle at the pitch circle has moved 0.3, at the root 0.15, and the two are 3.914 mm apart.
    expect(leanDeg(17, [0, 0.6])).toBeCloseTo((Math.atan(0.15 / 3.91375) * 180) / Math.PI, 6)
  })

  test('takes off the land what it takes off the flank, until the flanks meet', () => {
    const end = shape.pitchDiameterMm / 2 + 1.2
    const fresh = landMm(17, 0, end)
    expect(fresh).toBeGreaterThan(1)
    expect(fresh - landMm(17, 0.5, end)).toBeCloseTo(0.5 * wearShare(17, end), 9)
    expect(landMm(17, 9, end)).toBe(0)
    // A tooth gets narrower outwards.
    expect(landMm(17, 0, end + 0.5)).toBeLessThan(fresh)
  })
})

import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { sprocketGeometry } from './geometry.ts'
import { shiftAidRack, toothRack } from './rack.ts'

/** Where the faces of the first tooth cross the pitch circle, mm. */
function facesAtPitch(teeth: number, role: 'cog' | 'ring', excessMm: number): readonly number[] {
  const { outline } = toothRack(teeth, role, excessMm, 1)
  const height = sprocketGeometry(teeth).seatRadiusMm
  return outline.flatMap((a, i) => {
    const b = outline[i + 1]
    if (!b || a.y < height === b.y < height) return []
    return [a.x + ((height - a.y) / (b.y - a.y)) * (b.x - a.x)]
  })
}

test('a shift aid is a new tooth with its top cut off', () => {
  const [aid, whole] = [shiftAidRack(17), toothRack(17, 'cog', 0, 1)]
  const highest = Math.max(...aid.outline.map(({ y }) => y))
  expect(highest / whole.heightMm).toBeCloseTo(0.6, 9)
  const low = whole.outline.filter(({ y }) => y < highest)
  expect(aid.outline).toEqual(expect.arrayContaining(low))
})

const teeth = fc.integer({ min: 10, max: 52 })

test('a worn valley is wider by its excess at the pitch circle, on one side only', () => {
  fc.assert(
    fc.property(teeth, fc.double({ min: 0, max: 0.9, noNaN: true }), (count, excess) => {
      const [left = NaN, right = NaN] = facesAtPitch(count, 'cog', 0)
      const [wornLeft = NaN, wornRight = NaN] = facesAtPitch(count, 'cog', excess)
      // Between two points of the outline the flank is a straight line: right to a few hundredths of a millimetre.
      expect(wornLeft - left).toBeCloseTo(excess, 1)
      expect(wornRight).toBeCloseTo(right, 6)
      const [ringLeft = NaN, ringRight = NaN] = facesAtPitch(count, 'ring', excess)
      expect(ringLeft).toBeCloseTo(left, 6)
      expect(right - ringRight).toBeCloseTo(excess, 1)
    }),
  )
})

test('teeth stand a pitch of the pitch circle apart, and a far worn one ends in a point below the new tip', () => {
  const six = toothRack(15, 'cog', 0, 6)
  const arc = (Math.PI * sprocketGeometry(15).pitchDiameterMm) / 15
  expect(six.lengthMm).toBeCloseTo(6 * arc, 9)
  const top = (excess: number) => Math.max(...toothRack(15, 'cog', excess, 1).outline.map(({ y }) => y))
  expect(top(0.9)).toBeLessThan(top(0.3))
  expect(top(0.3)).toBeLessThan(top(0))
})

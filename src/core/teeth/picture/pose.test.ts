import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { boxOf, cutAt, inverseOf, project, scaled, type Pose } from './pose.ts'

const pose: Pose = Float64Array.of(5, -1, 300, 1.2, 4.8, 200, 2e-4, -1e-4)
const at = (one: Pose, X: number, Y: number): readonly [number, number] => {
  const to = new Float64Array(6)
  project(one, X, Y, to)
  return [to[0] ?? NaN, to[1] ?? NaN]
}
const place = fc.tuple(
  fc.double({ min: -90, max: 90, noNaN: true }),
  fc.double({ min: -90, max: 90, noNaN: true }),
)

describe('a pose', () => {
  test('taken back is where it came from', () => {
    fc.assert(
      fc.property(place, ([X, Y]) => {
        const [x, y] = at(inverseOf(pose), ...at(pose, X, Y))
        expect(x).toBeCloseTo(X, 6)
        expect(y).toBeCloseTo(Y, 6)
      }),
    )
  })

  test('in a part of the picture is the same, less where the part begins', () => {
    fc.assert(
      fc.property(place, ([X, Y]) => {
        const [x, y] = at(pose, X, Y)
        const [inX, inY] = at(cutAt(pose, 40, 25), X, Y)
        expect(inX).toBeCloseTo(x - 40, 6)
        expect(inY).toBeCloseTo(y - 25, 6)
      }),
    )
  })

  test('in a finer picture keeps to the middles of its pixels', () => {
    // The first pixel of a picture is two by two of one twice as fine: its middle is at 0.5 there.
    const one = Float64Array.of(1, 0, 0, 0, 1, 0, 0, 0)
    expect(at(scaled(one, 2), 0, 0)).toEqual([0.5, 0.5])
    fc.assert(
      fc.property(place, ([X, Y]) => {
        const [x, y] = at(scaled(scaled(pose, 3), 1 / 3), X, Y)
        expect([x.toFixed(6), y.toFixed(6)]).toEqual(at(pose, X, Y).map((value) => value.toFixed(6)))
      }),
    )
  })

  test('of a flat part has a box round its circle, and none beyond the picture', () => {
    const flat = Float64Array.of(2, 0, 100, 0, 2, 80, 0, 0)
    expect(boxOf(flat, 30, 400, 300)).toEqual({ x: 40, y: 20, width: 120, height: 120 })
    expect(boxOf(flat, 60, 200, 150)).toEqual({ x: 0, y: 0, width: 200, height: 150 })
  })
})

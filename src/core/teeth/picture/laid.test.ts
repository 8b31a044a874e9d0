import { describe, expect, test } from '@jest/globals'
import { sprocketOutline } from '../outline.ts'
import { laidOutline, valleyAt } from './laid.ts'
import { flatPose, nudged, project } from './pose.ts'

const flat = flatPose(300, 200, 4, 0)
const centreOf = (pose: Float64Array): readonly [number, number] => {
  const to = new Float64Array(6)
  project(pose, 0, 0, to)
  return [to[0] ?? NaN, to[1] ?? NaN]
}

describe('an outline laid over a picture', () => {
  test('as new is the sprocket’s own outline at the picture’s scale', () => {
    const radii = (points: readonly { x: number; y: number }[], x = 0, y = 0, by = 1): readonly string[] =>
      [Math.min, Math.max].map((most) =>
        most(...points.map((point) => Math.hypot(point.x - x, point.y - y) / by)).toFixed(2),
      )
    expect(radii(laidOutline(17, flat, [0, 0]), 300, 200, 4)).toEqual(radii(sprocketOutline(17)))
  })

  test('as worn opens its valleys by what either side has receded', () => {
    const { x } = valleyAt(17, flat, 0)
    const pitchMm = (x - 300) / 4
    // The two points nearest to the pitch circle, either side of the valley to the right.
    const widthOf = (worn: readonly [number, number]): number => {
      const near = laidOutline(17, flat, worn)
        .map((point) => ({
          off: Math.abs(Math.hypot(point.x - 300, point.y - 200) / 4 - pitchMm),
          angle: Math.atan2(point.y - 200, point.x - 300),
        }))
        .filter(({ angle }) => Math.abs(angle) < Math.PI / 17)
        .sort((a, b) => a.off - b.off)
      const [up, down] = [near.find(({ angle }) => angle > 0), near.find(({ angle }) => angle < 0)]
      return ((up?.angle ?? NaN) - (down?.angle ?? NaN)) * pitchMm
    }
    expect(widthOf([0.2, 0.5]) - widthOf([0, 0])).toBeCloseTo(0.7, 1)
  })
})

describe('a pose nudged by hand', () => {
  test('moves by as many pixels, and stays where it is when it is turned or made larger', () => {
    const tilted = Float64Array.of(5, -1, 300, 1.2, 4.8, 200, 2e-4, -1e-4)
    expect(centreOf(nudged(tilted, { x: 7, y: -3 }))).toEqual([307, 197])
    expect(centreOf(nudged(tilted, { turn: 0.3, size: 1.2 }))).toEqual([300, 200])
  })

  test('turned and turned back, or made larger and smaller again, is as it was', () => {
    const tilted = Float64Array.of(5, -1, 300, 1.2, 4.8, 200, 2e-4, -1e-4)
    const back = nudged(nudged(tilted, { turn: 0.4, size: 1.25 }), { turn: -0.4, size: 0.8 })
    back.forEach((value, i) => expect(value).toBeCloseTo(tilted[i] ?? NaN, 9))
  })
})

import { execFileSync } from 'node:child_process'
import { describe, expect, test } from '@jest/globals'
import { sprocketOutline } from '../outline.ts'
import { measurePicture } from './measure.ts'
import { flatPose, project, tiltOf } from './pose.ts'
import { valleyProfile } from './profile.ts'

/** What the cases' own runner makes of the flat pictures: in a process of its own, where such work is ten times as fast as here. */
function casesRun(): {
  output?: { valleyExcessMm: number; teethSeen: number; setAside: number }
  error?: string
}[] {
  const args = ['--import', 'tsx', 'cases/run.ts', 'cases/pictures/cases.json']
  return JSON.parse(execFileSync(process.execPath, args, { encoding: 'utf8' })) as ReturnType<typeof casesRun>
}

describe('a flat picture of a sprocket', () => {
  const [fresh, worn, ring, miscounted, ride, onWood, onCloth] = casesRun()

  test('of a new cog shows no wear', () => {
    expect(Math.abs(fresh?.output?.valleyExcessMm ?? NaN)).toBeLessThan(0.12)
    expect(fresh?.output).toMatchObject({ teethSeen: 16, setAside: 0 })
  })

  test('of a worn one shows how far, and leaves out its two shift aids', () => {
    expect(Math.abs((worn?.output?.valleyExcessMm ?? NaN) - 0.6)).toBeLessThan(0.12)
    expect(worn?.output?.setAside).toBe(2)
  })

  test('of a worn ring shows how far, and nothing for another number of teeth', () => {
    expect(Math.abs((ring?.output?.valleyExcessMm ?? NaN) - 0.5)).toBeLessThan(0.12)
    expect(miscounted?.error).toMatch(/^The sprocket in the picture has another number of teeth/)
  })

  test('taken at a slant on wood or on cloth shows how far it has worn, and its shift aids', () => {
    expect(Math.abs((onWood?.output?.valleyExcessMm ?? NaN) - 0.66)).toBeLessThan(0.15)
    expect(onWood?.output).toMatchObject({ teethSeen: 15, setAside: 2 })
    expect(Math.abs((onCloth?.output?.valleyExcessMm ?? NaN) - 0.6)).toBeLessThan(0.15)
    expect(onCloth?.output).toMatchObject({ teethSeen: 14, setAside: 1 })
  })

  test('that is no picture, or is too small, says so', () => {
    expect(ride?.error).toBe('The file is no PNG or JPEG picture.')
    expect(measurePicture({ width: 50, height: 50, data: new Uint8Array(10_000) }, 16)).toEqual({
      fault: 'too-small',
    })
  })
})

test('a tilted plane’s pose tells its tilt: a part flat to the camera has none', () => {
  const flat = tiltOf(flatPose(300, 200, 5, 0.4))
  expect(flat.tiltDeg).toBeCloseTo(0, 4)
  expect(flat.pxPerMm).toBeCloseTo(5, 9)
  // Turned by 20 degrees about the upright: widths shrink by its cosine.
  const cos = Math.cos((20 * Math.PI) / 180)
  expect(tiltOf(Float64Array.of(5 * cos, 0, 0, 0, 5, 0, 0, 0)).tiltDeg).toBeCloseTo(20, 6)
})

test('the slopes of a projection are those of small steps', () => {
  const pose = Float64Array.of(5, -1, 300, 1.2, 4.8, 200, 2e-4, -1e-4)
  const [at, right, up] = [new Float64Array(6), new Float64Array(6), new Float64Array(6)]
  const step = 1e-5
  project(pose, 30, -20, at)
  project(pose, 30 + step, -20, right)
  project(pose, 30, -20 + step, up)
  const slope = (to: Float64Array, i: number): number => ((to[i] ?? 0) - (at[i] ?? 0)) / step
  expect([slope(right, 0), slope(up, 0), slope(right, 1), slope(up, 1)].map((x) => x.toFixed(4))).toEqual(
    [at[2], at[3], at[4], at[5]].map((x) => (x ?? 0).toFixed(4)),
  )
})

test('a valley’s profile lies on the outline of the sprocket', () => {
  const outline = sprocketOutline(17)
  for (const { angle, radius } of valleyProfile(17)) {
    // The outline's valley stands at the top; its points are some tenths of a millimetre apart.
    const [x, y] = [radius * Math.sin(angle), radius * Math.cos(angle)]
    expect(Math.min(...outline.map((one) => Math.hypot(one.x - x, one.y - y)))).toBeLessThan(1.2)
  }
})

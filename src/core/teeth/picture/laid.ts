import { sprocketGeometry } from '../geometry.ts'
import { halfSpace, type Point } from '../outline.ts'
import { project, type Pose } from './pose.ts'
import { wearShare } from './profile.ts'

/**
 * A part's outline as it lies in a picture, pixels, closed (the first point is not repeated).
 * @param worn what either side of its valleys has receded by, mm; 0 and 0 draws a new part
 */
export function laidOutline(teeth: number, pose: Pose, worn: readonly [number, number]): Point[] {
  const right = halfSpace(teeth, 2)
  const at = new Float64Array(6)
  const points: Point[] = []
  for (let valley = 0; valley < teeth; valley++) {
    const middle = (2 * Math.PI * valley) / teeth
    const lay = ({ x, y }: Point, side: -1 | 1): void => {
      const radius = Math.hypot(x, y)
      const recess = wearShare(teeth, radius) * worn[side === 1 ? 1 : 0]
      // Flanks that would cross meet at the middle of the tooth.
      const off = Math.min(Math.PI / teeth, Math.atan2(x, y) + recess / radius)
      const angle = middle + side * off
      project(pose, radius * Math.cos(angle), radius * Math.sin(angle), at)
      points.push({ x: at[0] as number, y: at[1] as number })
    }
    for (const point of [...right].reverse()) lay(point, -1)
    for (const point of right) lay(point, 1)
  }
  return points
}

/** Where a valley's roller would lie in a picture, pixels. */
export function valleyAt(teeth: number, pose: Pose, valley: number): Point {
  const at = new Float64Array(6)
  const radius = sprocketGeometry(teeth).pitchDiameterMm / 2
  const angle = (2 * Math.PI * valley) / teeth
  project(pose, radius * Math.cos(angle), radius * Math.sin(angle), at)
  return { x: at[0] as number, y: at[1] as number }
}

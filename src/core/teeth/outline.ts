import { sprocketGeometry } from './geometry.ts'

/** mm from the sprocket's centre; y upwards. */
export interface Point {
  readonly x: number
  readonly y: number
}

const SEAT_STEPS = 8
const FLANK_STEPS = 5

/**
 * One half of a tooth space of a new sprocket, from the bottom of the valley outwards, for a valley on the y
 * axis: the seating arc about the roller's centre, then the flank arc, whose centre lies in the metal on the line
 * through the end of the seating arc, up to the tip circle or the middle of the tooth, whichever comes first.
 * @param fineness so many times the points a drawing needs
 */
export function halfSpace(teeth: number, fineness = 1): Point[] {
  const [seatSteps, flankSteps] = [fineness * SEAT_STEPS, fineness * FLANK_STEPS]
  const shape = sprocketGeometry(teeth)
  const roller = shape.pitchDiameterMm / 2
  const half = (shape.seatAngleDeg / 2) * (Math.PI / 180)
  const tipRadius = (shape.tipMaxMm + shape.tipMinMm) / 4
  const points: Point[] = []
  for (let i = 0; i <= seatSteps; i++) {
    const angle = (half * i) / seatSteps
    points.push({ x: shape.seatRadiusMm * Math.sin(angle), y: roller - shape.seatRadiusMm * Math.cos(angle) })
  }
  const reach = shape.seatRadiusMm + shape.flankRadiusMm
  const centre = { x: reach * Math.sin(half), y: roller - reach * Math.cos(half) }
  const inHalfTooth = ({ x, y }: Point): boolean =>
    Math.hypot(x, y) <= tipRadius && Math.atan2(x, y) <= Math.PI / teeth
  // The flank turns back toward the tooth's own middle; it never needs more than this much of its circle.
  const sweep = Math.min(Math.PI / 3, 14 / shape.flankRadiusMm)
  const flank = (share: number): Point => ({
    x: centre.x - shape.flankRadiusMm * Math.sin(half - sweep * share),
    y: centre.y + shape.flankRadiusMm * Math.cos(half - sweep * share),
  })
  let end = 0
  for (let step = 0.5; step > 1e-5; step /= 2) if (inHalfTooth(flank(end + step))) end += step
  for (let i = 1; i <= flankSteps; i++) points.push(flank((end * i) / flankSteps))
  return points
}

/**
 * Outline of a new sprocket at true scale, mm, anticlockwise, closed (the first point is not repeated). A valley
 * stands at the top.
 * @param teeth 5 or more
 * @throws RangeError for fewer
 */
export function sprocketOutline(teeth: number): Point[] {
  const right = halfSpace(teeth)
  const space = [...right.map(({ x, y }) => ({ x: -x, y })).reverse(), ...right.slice(1)].reverse()
  const outline: Point[] = []
  for (let tooth = 0; tooth < teeth; tooth++) {
    const turn = (2 * Math.PI * tooth) / teeth
    const [sin, cos] = [Math.sin(turn), Math.cos(turn)]
    for (const { x, y } of space) outline.push({ x: x * cos - y * sin, y: x * sin + y * cos })
  }
  return outline
}

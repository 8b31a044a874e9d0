import { sprocketGeometry } from '../geometry.ts'
import { invertPositive } from '../../measure/linear.ts'
import { middleOf } from './least-squares.ts'
import type { Colours, Plane } from './pixels.ts'
import { inverseOf, project, type Pose } from './pose.ts'

/** Spread that no colour goes below, of a logarithm: noise, and what the picture's own packing does. */
const LEAST_SPREAD = 0.03
/** Of how what lies behind the part varies, shadows with it, so much counts. */
const BEHIND = 0.5
/** The metal's own colour is looked for in a band so far inside the root circle, mm. */
const BAND_MM = { from: 2.6, to: 0.7, step: 0.3 }
/** What lies behind is looked for in the middle of a valley, so far about the roller's middle, mm. */
const BEHIND_MM = 1.6
/** How far beyond the root and the tips the plane reaches, mm. */
const BEYOND_MM = 2.8
const TURNS = 9

type Colour = readonly [number, number, number]

function colourAt([r, g, b]: Colours, x: number, y: number): Colour | undefined {
  const [i, j] = [Math.round(x), Math.round(y)]
  if (!(i >= 0 && j >= 0 && i < r.width && j < r.height)) return undefined
  const at = j * r.width + i
  return [r.values[at] as number, g.values[at] as number, b.values[at] as number]
}

const middleColour = (colours: readonly Colour[]): Colour => [
  middleOf(colours.map(([r]) => r)),
  middleOf(colours.map(([, g]) => g)),
  middleOf(colours.map(([, , b]) => b)),
]

/** Adds how colours scatter about their middles, each on average, to a matrix. */
function addScatter(
  matrix: number[][],
  about: readonly { readonly colour: Colour; readonly middle: Colour }[],
  weight: number,
): void {
  for (const { colour, middle } of about) {
    const off = colour.map((value, i) => Math.max(-0.8, Math.min(0.8, value - (middle[i] as number))))
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++)
        (matrix[i] as number[])[j] =
          ((matrix[i] as number[])[j] as number) +
          (weight * (off[i] as number) * (off[j] as number)) / about.length
  }
}

/** The metal's own colour by valley, and how colours there and behind the part vary. */
function coloursRound(colours: Colours, teeth: number, pose: Pose) {
  const shape = sprocketGeometry(teeth)
  const pitch = shape.pitchDiameterMm / 2
  const root = pitch - shape.seatRadiusMm
  const at = new Float64Array(6)
  const metal: Colour[][] = []
  const behind: Colour[] = []
  for (let valley = 0; valley < teeth; valley++) {
    const here: Colour[] = []
    for (let turn = 0; turn < TURNS; turn++) {
      const angle = (2 * Math.PI * (valley - 0.5 + (turn + 0.5) / TURNS)) / teeth
      const [c, s] = [Math.cos(angle), Math.sin(angle)]
      for (let inside = BAND_MM.from; inside >= BAND_MM.to - 1e-9; inside -= BAND_MM.step) {
        project(pose, (root - inside) * c, (root - inside) * s, at)
        const colour = colourAt(colours, at[0] as number, at[1] as number)
        if (colour) here.push(colour)
      }
      const about = (2 * Math.PI * turn) / TURNS
      const middle = (2 * Math.PI * valley) / teeth
      project(
        pose,
        pitch * Math.cos(middle) + BEHIND_MM * Math.cos(about),
        pitch * Math.sin(middle) + BEHIND_MM * Math.sin(about),
        at,
      )
      const colour = colourAt(colours, at[0] as number, at[1] as number)
      if (colour) behind.push(colour)
    }
    metal.push(here)
  }
  const middles = metal.map((_, valley) =>
    middleColour([-1, 0, 1].flatMap((k) => metal[(valley + k + teeth) % teeth] ?? [])),
  )
  const matrix = [0, 1, 2].map((i) => [0, 1, 2].map((j) => (i === j ? LEAST_SPREAD ** 2 : 0)))
  addScatter(
    matrix,
    metal.flatMap((here, valley) =>
      here.flatMap((colour) => {
        const middle = middles[valley]
        return middle ? [{ colour, middle }] : []
      }),
    ),
    1,
  )
  const usual = middleColour(behind)
  addScatter(
    matrix,
    behind.map((colour) => ({ colour, middle: usual })),
    BEHIND,
  )
  return { middles, inverse: invertPositive(matrix) }
}

/**
 * How far each pixel's colour is from the metal's own nearby, in standard deviations of both the metal and of what is behind it: it
 * rises where the metal ends, whatever begins there. Nothing but the band of the teeth is filled.
 * @throws RangeError where no metal is in the picture
 */
export function unlikeMetal(colours: Colours, teeth: number, pose: Pose): Plane {
  const { middles, inverse } = coloursRound(colours, teeth, pose)
  const shape = sprocketGeometry(teeth)
  const least = shape.rootDiameterMm / 2 - BEYOND_MM
  const most = shape.tipMaxMm / 2 + BEYOND_MM - 1
  const [{ width, height, values: red }, { values: green }, { values: blue }] = colours
  const values = new Float32Array(width * height)
  const back = inverseOf(pose)
  const [a, b, c] = [inverse[0] as number[], inverse[1] as number[], inverse[2] as number[]]
  const [rr, rg, rb, gg, gb, bb] = [a[0], a[1], a[2], b[1], b[2], c[2]] as [
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  const flat = Float64Array.from(middles.flat())
  const found = new Float64Array(6)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      project(back, x, y, found)
      const [X, Y] = [found[0] as number, found[1] as number]
      const square = X * X + Y * Y
      if (square < least * least || square > most * most) continue
      const turn = ((Math.atan2(Y, X) / (2 * Math.PI) + 1) % 1) * teeth
      const one = Math.floor(turn) % teeth
      const next = (one + 1) % teeth
      const part = turn - Math.floor(turn)
      const at = y * width + x
      const r =
        (red[at] as number) - (1 - part) * (flat[3 * one] as number) - part * (flat[3 * next] as number)
      const g =
        (green[at] as number) -
        (1 - part) * (flat[3 * one + 1] as number) -
        part * (flat[3 * next + 1] as number)
      const l =
        (blue[at] as number) -
        (1 - part) * (flat[3 * one + 2] as number) -
        part * (flat[3 * next + 2] as number)
      values[at] = Math.sqrt(
        Math.max(0, rr * r * r + gg * g * g + bb * l * l + 2 * (rg * r * g + rb * r * l + gb * g * l)),
      )
    }
  return { width, height, values }
}

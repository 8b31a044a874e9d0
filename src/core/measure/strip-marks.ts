import { PITCH_MM } from '../units/pitch.ts'

/** Pitches the printed strip spans (methods 13). */
export const STRIP_PITCHES = 20
/** Its nominal length, mm. */
export const STRIP_MM = STRIP_PITCHES * PITCH_MM
/** The bar that tells a printer's scaling, mm. */
export const CHECK_BAR_MM = 200
/** Beyond this the sheet is refused, as a share of the scale. */
export const MOST_SCALING = 0.02
/** Elongations marked on the strip, %. */
export const STRIP_MARKS = [0, 0.25, 0.5, 0.75, 1] as const
/** The vernier: ten divisions over nine millimetres read a tenth of one. */
export const VERNIER = { divisions: 10, spanMm: 9 } as const

/** Where a mark stands from the strip's zero edge, mm. */
export const markMm = (percent: number): number => STRIP_MM * (1 + percent / 100)

/**
 * How much larger than drawn a sheet was printed, from what its check bar measures.
 * @param barMm what the user measures, mm
 * @returns the scale, 1 for true; or undefined beyond 2 %, where the sheet is to be printed again
 */
export function printScale(barMm: number): number | undefined {
  const scale = barMm / CHECK_BAR_MM
  return Math.abs(scale - 1) <= MOST_SCALING ? scale : undefined
}

/** The true length, mm, of what a strip printed at `scale` shows as `readMm`. */
export const trueLength = (readMm: number, scale: number): number => readMm * scale

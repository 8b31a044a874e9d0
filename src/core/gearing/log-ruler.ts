import type { UsedGear } from './shifted-use.ts'

/** A ruler of developments on which equal steps in per cent are equally long. */
export interface LogRuler {
  readonly fromM: number
  readonly toM: number
  /** Where a development stands, 0 to 1 within the ruler. */
  readonly at: (developmentM: number) => number
  /** Round developments to mark, m. */
  readonly marks: readonly number[]
}

const MARKS = [0.7, 1, 1.5, 2, 3, 4, 5, 6, 8, 10, 12]

/** A ruler that holds all of these developments, with a little room at both ends. @param developmentsM over 0, one at least */
export function logRuler(developmentsM: readonly number[]): LogRuler {
  const fromM = 0.9 * Math.min(...developmentsM)
  const toM = 1.1 * Math.max(...developmentsM)
  const span = Math.log(toM / fromM)
  return {
    fromM,
    toM,
    at: (developmentM) => Math.log(developmentM / fromM) / span,
    marks: MARKS.filter((mark) => mark > fromM && mark < toM),
  }
}

/** Each gear's energy is spread about it by so much, as a logarithm: half a usual step. */
const SPREAD = 0.05

/**
 * Where the energy lies along a ruler, as heights at even places from its left end to its right; the tallest is 1.
 * @param count of the places, 2 or more
 */
export function energyAlong(
  used: readonly UsedGear[],
  circumferenceMm: number,
  { fromM, toM }: LogRuler,
  count: number,
): readonly number[] {
  const span = Math.log(toM / fromM)
  const gears = used.map(({ ring, cog, share }) => ({
    log: Math.log((circumferenceMm / 1000) * (ring / cog)) - Math.log(fromM),
    share,
  }))
  const heights = Array.from({ length: count }, (_, i) => {
    const x = (span * i) / (count - 1)
    return gears.reduce(
      (sum, { log, share }) => sum + share * Math.exp(-((x - log) ** 2) / (2 * SPREAD ** 2)),
      0,
    )
  })
  const most = Math.max(...heights, 1e-12)
  return heights.map((one) => one / most)
}

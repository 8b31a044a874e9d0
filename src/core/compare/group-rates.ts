import { seededRandom } from '../stats/random.ts'

/** A measured rate: of which group it is, how sure, and what else may have made it. */
export interface MeasuredRate {
  /** The place of its group. */
  readonly group: number
  readonly rate: number
  readonly sd: number
  /** Something else that may differ between groups, 0 to 1; absent: nothing else is looked at. */
  readonly beside?: number
}

/** Draws of the rate of each group, and of what the thing beside adds to it. */
export interface GroupDraws {
  readonly groups: readonly Float64Array[]
  readonly slope: Float64Array
}

/** What is thought of a rate before anything is read, % per 1000 km: as wide as chains have been seen to differ. */
const BEFORE = { mean: 0.25, sd: 0.3 } as const
/** What a thing beside may add or take, % per 1000 km from none of it to all of it. */
const SLOPE_SD = 0.3
/** How much stretches of one group differ by themselves: tried from none to this, % per 1000 km. */
const MOST_SCATTER = 0.3
const SCATTERS = 16
const DRAWS = 2000

/** Lower triangle of a positive definite matrix, so that `L Lᵀ` is it (Cholesky). */
function lower(matrix: readonly (readonly number[])[]): number[][] {
  const made = matrix.map((row) => row.map(() => 0))
  matrix.forEach((row, i) => {
    for (let j = 0; j <= i; j++) {
      let sum = row[j] ?? 0
      for (let k = 0; k < j; k++) sum -= (made[i]?.[k] ?? 0) * (made[j]?.[k] ?? 0)
      const own = made[i]
      if (own) own[j] = i === j ? Math.sqrt(Math.max(sum, 1e-12)) : sum / (made[j]?.[j] ?? 1)
    }
  })
  return made
}

/** Solves `L x = b`. */
function forward(l: readonly (readonly number[])[], b: readonly number[]): number[] {
  const x: number[] = []
  b.forEach((value, i) => {
    let sum = value
    for (let k = 0; k < i; k++) sum -= (l[i]?.[k] ?? 0) * (x[k] ?? 0)
    x.push(sum / (l[i]?.[i] ?? 1))
  })
  return x
}

/** Solves `Lᵀ x = b`. */
function backward(l: readonly (readonly number[])[], b: readonly number[]): number[] {
  const x = b.map(() => 0)
  for (let i = b.length - 1; i >= 0; i--) {
    let sum = b[i] ?? 0
    for (let k = i + 1; k < b.length; k++) sum -= (l[k]?.[i] ?? 0) * (x[k] ?? 0)
    x[i] = sum / (l[i]?.[i] ?? 1)
  }
  return x
}

/** What is known where the scatter is known: mean, the triangle of the precision, and the log of the evidence. */
interface Given {
  readonly mean: readonly number[]
  readonly triangle: readonly (readonly number[])[]
  readonly logEvidence: number
}

function given(rates: readonly MeasuredRate[], groups: number, scatter: number): Given {
  const size = groups + 1
  const precision = Array.from({ length: size }, (_, i) =>
    Array.from({ length: size }, (__, j) => (i !== j ? 0 : i < groups ? BEFORE.sd ** -2 : SLOPE_SD ** -2)),
  )
  const pull = Array.from({ length: size }, (_, i) => (i < groups ? BEFORE.mean * BEFORE.sd ** -2 : 0))
  let log = 0
  for (const { group, rate, sd, beside = 0 } of rates) {
    const weight = 1 / (sd ** 2 + scatter ** 2)
    const row: readonly (readonly [number, number])[] = [
      [group, 1],
      [groups, beside],
    ]
    for (const [i, a] of row) {
      pull[i] = (pull[i] ?? 0) + weight * a * rate
      for (const [j, b] of row) {
        const own = precision[i]
        if (own) own[j] = (own[j] ?? 0) + weight * a * b
      }
    }
    log += 0.5 * Math.log(weight) - 0.5 * weight * rate ** 2
  }
  const triangle = lower(precision)
  const half = forward(triangle, pull)
  const logDeterminant = 2 * triangle.reduce((sum, row, i) => sum + Math.log(row[i] ?? 1), 0)
  return {
    mean: backward(triangle, half),
    triangle,
    logEvidence: log - 0.5 * logDeterminant + 0.5 * half.reduce((sum, value) => sum + value ** 2, 0),
  }
}

/**
 * How fast the chains of each group wear, from measured stretches: each is the rate of its group, what something beside
 * adds, a scatter of its own, and the error of its readings, all normal. Groups and slope given the scatter are normal in
 * closed form (Bayesian linear regression); the scatter is summed over a grid by its evidence.
 * @param groups how many there are
 * @param seed of the draws
 */
export function groupRates(rates: readonly MeasuredRate[], groups: number, seed: number): GroupDraws {
  const tried = Array.from({ length: SCATTERS }, (_, i) =>
    given(rates, groups, (MOST_SCATTER * i) / (SCATTERS - 1)),
  )
  const best = Math.max(...tried.map(({ logEvidence }) => logEvidence))
  const weights = tried.map(({ logEvidence }) => Math.exp(logEvidence - best))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const random = seededRandom(seed)
  const drawn = Array.from({ length: groups + 1 }, () => new Float64Array(DRAWS))
  for (let n = 0; n < DRAWS; n++) {
    let left = ((n + 0.5) / DRAWS) * total
    const at = weights.findIndex((weight) => (left -= weight) <= 0)
    const { mean, triangle } = tried[at < 0 ? SCATTERS - 1 : at] ?? { mean: [], triangle: [] }
    const noise = backward(
      triangle,
      mean.map(() => random.normal(0, 1)),
    )
    for (const [i, values] of drawn.entries()) values[n] = (mean[i] ?? 0) + (noise[i] ?? 0)
  }
  return { groups: drawn.slice(0, groups), slope: drawn[groups] ?? new Float64Array(DRAWS) }
}

import { invertPositive } from '../../measure/linear.ts'

/** Sums of a weighted least squares problem. */
export interface Sums {
  readonly matrix: number[][]
  readonly right: number[]
}

/** Empty sums for so many unknowns. */
export const emptySums = (unknowns: number): Sums => ({
  matrix: Array.from({ length: unknowns }, () => new Array<number>(unknowns).fill(0)),
  right: new Array<number>(unknowns).fill(0),
})

/** Adds an observation: `row · unknowns = value`, so much of a weight. */
export function addRow({ matrix, right }: Sums, row: ArrayLike<number>, value: number, weight: number): void {
  for (let i = 0; i < right.length; i++) {
    const one = weight * (row[i] as number)
    if (one === 0) continue
    right[i] = (right[i] as number) + one * value
    const line = matrix[i] as number[]
    for (let j = 0; j < right.length; j++) line[j] = (line[j] as number) + one * (row[j] as number)
  }
}

/** Holds one unknown near a value, by so much. */
export function hold({ matrix, right }: Sums, unknown: number, value: number, weight: number): void {
  const line = matrix[unknown] as number[]
  line[unknown] = (line[unknown] as number) + weight
  right[unknown] = (right[unknown] as number) + weight * value
}

/** The unknowns with the least squares, and how they vary together; undefined where the observations do not tell them. */
export function solved({
  matrix,
  right,
}: Sums): { readonly values: number[]; readonly covariance: number[][] } | undefined {
  // Unknowns differ in size by many powers of ten: each is scaled by its own diagonal first.
  const scale = matrix.map((line, i) => 1 / Math.sqrt(line[i] || 1))
  const scaled = matrix.map((line, i) =>
    line.map((value, j) => value * (scale[i] as number) * (scale[j] as number) + (i === j ? 1e-9 : 0)),
  )
  try {
    const covariance = invertPositive(scaled).map((line, i) =>
      line.map((value, j) => value * (scale[i] as number) * (scale[j] as number)),
    )
    return {
      values: covariance.map((line) => line.reduce((sum, value, j) => sum + value * (right[j] as number), 0)),
      covariance,
    }
  } catch {
    return undefined
  }
}

/** Tukey's weight of an error: what is further off than `end` says nothing. */
export function tukey(error: number, end: number): number {
  const far = error / end
  return Math.abs(far) >= 1 ? 0 : (1 - far * far) ** 2
}

/** The value in the middle; not a number where there is none. */
export function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[sorted.length >> 1] ?? NaN
}

import type { Metric } from './metric.ts'

/**
 * A precision matrix in the shape of an arrow: what all chains share goes with everything, and each chain's rate and
 * start with one another and with what is shared, but never with another chain.
 */
export interface Arrow {
  readonly shared: number
  /** Among the shared coordinates, row after row. */
  readonly a: Float64Array
  /** For each chain rate with all shared, then start with all shared. */
  readonly b: Float64Array
  /** For each chain: rate with rate, rate with start, start with start. */
  readonly d: Float64Array
}

/** The arrow as a product L Lᵀ, chains before what is shared: two solutions with it cost no more than the arrow has numbers. */
export interface Factored {
  readonly shared: number
  /** Of each chain: the three numbers of its own triangle. */
  readonly own: Float64Array
  /** Of each chain: its two rows against the shared coordinates. */
  readonly rows: Float64Array
  /** The triangle of what is shared, row after row. */
  readonly lower: Float64Array
}

/** Factors an arrow. */
export function factored({ shared, a, b, d }: Arrow): Factored {
  const chains = d.length / 3
  const own = new Float64Array(d.length)
  const rows = new Float64Array(b.length)
  const rest = Float64Array.from(a)
  for (let c = 0; c < chains; c++) {
    const l11 = Math.sqrt(d[3 * c] ?? 1)
    const l21 = (d[3 * c + 1] ?? 0) / l11
    const l22 = Math.sqrt(Math.max(1e-9, (d[3 * c + 2] ?? 1) - l21 * l21))
    own.set([l11, l21, l22], 3 * c)
    for (let i = 0; i < shared; i++) {
      const first = (b[2 * c * shared + i] ?? 0) / l11
      rows[2 * c * shared + i] = first
      rows[(2 * c + 1) * shared + i] = ((b[(2 * c + 1) * shared + i] ?? 0) - l21 * first) / l22
    }
    for (const row of [2 * c * shared, (2 * c + 1) * shared])
      for (let i = 0; i < shared; i++)
        for (let j = 0; j <= i; j++)
          rest[i * shared + j] = (rest[i * shared + j] ?? 0) - (rows[row + i] ?? 0) * (rows[row + j] ?? 0)
  }
  const lower = new Float64Array(shared * shared)
  for (let i = 0; i < shared; i++)
    for (let j = 0; j <= i; j++) {
      let sum = rest[i * shared + j] ?? 0
      for (let k = 0; k < j; k++) sum -= (lower[i * shared + k] ?? 0) * (lower[j * shared + k] ?? 0)
      lower[i * shared + j] = i === j ? Math.sqrt(Math.max(1e-9, sum)) : sum / (lower[j * shared + j] ?? 1)
    }
  return { shared, own, rows, lower }
}

/** Solves L y = r. */
export function forward({ shared, own, rows, lower }: Factored, r: Float64Array, y: Float64Array): void {
  const chains = own.length / 3
  for (let i = 0; i < shared; i++) y[i] = r[i] as number
  for (let c = 0; c < chains; c++) {
    const at = shared + 2 * c
    const first = (r[at] as number) / (own[3 * c] as number)
    const second = ((r[at + 1] as number) - (own[3 * c + 1] as number) * first) / (own[3 * c + 2] as number)
    y[at] = first
    y[at + 1] = second
    const row = 2 * c * shared
    for (let i = 0; i < shared; i++)
      y[i] =
        (y[i] as number) - (rows[row + i] as number) * first - (rows[row + shared + i] as number) * second
  }
  for (let i = 0; i < shared; i++) {
    let sum = y[i] as number
    for (let j = 0; j < i; j++) sum -= (lower[i * shared + j] as number) * (y[j] as number)
    y[i] = sum / (lower[i * shared + i] as number)
  }
}

/** Solves Lᵀ x = y. */
export function backward({ shared, own, rows, lower }: Factored, y: Float64Array, x: Float64Array): void {
  for (let i = shared - 1; i >= 0; i--) {
    let sum = y[i] as number
    for (let j = i + 1; j < shared; j++) sum -= (lower[j * shared + i] as number) * (x[j] as number)
    x[i] = sum / (lower[i * shared + i] as number)
  }
  const chains = own.length / 3
  for (let c = 0; c < chains; c++) {
    const at = shared + 2 * c
    const row = 2 * c * shared
    let first = y[at] as number
    let second = y[at + 1] as number
    for (let i = 0; i < shared; i++) {
      first -= (rows[row + i] as number) * (x[i] as number)
      second -= (rows[row + shared + i] as number) * (x[i] as number)
    }
    x[at + 1] = second / (own[3 * c + 2] as number)
    x[at] = (first - (own[3 * c + 1] as number) * (x[at + 1] as number)) / (own[3 * c] as number)
  }
}

/** x = Lᵀ y: what {@link backward} undoes. */
function across({ shared, own, rows, lower }: Factored, y: Float64Array, x: Float64Array): void {
  const chains = own.length / 3
  for (let i = 0; i < shared; i++) {
    let sum = 0
    for (let j = i; j < shared; j++) sum += (lower[j * shared + i] as number) * (y[j] as number)
    x[i] = sum
  }
  for (let c = 0; c < chains; c++) {
    const at = shared + 2 * c
    const row = 2 * c * shared
    let first =
      (own[3 * c] as number) * (y[at] as number) + (own[3 * c + 1] as number) * (y[at + 1] as number)
    let second = (own[3 * c + 2] as number) * (y[at + 1] as number)
    for (let i = 0; i < shared; i++) {
      first += (rows[row + i] as number) * (y[i] as number)
      second += (rows[row + shared + i] as number) * (y[i] as number)
    }
    x[at] = first
    x[at + 1] = second
  }
}

/** Logarithm of the determinant of L. */
function logDeterminant({ shared, own, lower }: Factored): number {
  let log = 0
  for (let c = 0; c < own.length / 3; c++) log += Math.log((own[3 * c] ?? 1) * (own[3 * c + 2] ?? 1))
  for (let i = 0; i < shared; i++) log += Math.log(lower[i * shared + i] ?? 1)
  return log
}

/** The covariance of a factored precision, as a sampler's metric: W is the inverse of Lᵀ. */
export function metricOf(by: Factored, dimension: number): Metric {
  const held = new Float64Array(dimension)
  const addTo = (to: Float64Array, times: number): void => {
    for (let i = 0; i < dimension; i++) to[i] = (to[i] as number) + times * (held[i] as number)
  }
  return {
    kick: (momentum, slope, times) => {
      forward(by, slope, held)
      addTo(momentum, times)
    },
    drift: (place, momentum, times) => {
      backward(by, momentum, held)
      addTo(place, times)
    },
    flatten: (to, step) => across(by, step, to),
    logVolume: -logDeterminant(by),
  }
}

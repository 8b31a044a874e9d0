import { logAt, type LogTable } from '../measure/log-table.ts'
import { biasSpreads, biasSpreadsSlope, tailBend } from '../measure/bias-tail.ts'
import type { LogDensity, SampleStart } from './hmc.ts'
import { LATE_FROM_SD, lateTimesSlope, lateWear, pastBend, pastBendSlope } from './late-wear.ts'
import { looksOf, type Looks } from './looks.ts'
import type { Metric } from './metric.ts'
import {
  BETA_LOG_SD,
  CHAIN_LOG_SD,
  chainState,
  kindTimes,
  RIDER_LOG_SD,
  START_SD,
  UNKNOWN_FROM,
  UNKNOWN_TO,
  type RiderModel,
} from './rider-model.ts'

/**
 * A precision matrix in the shape of an arrow: what all chains share goes with everything, and each chain's rate and
 * start with one another and with what is shared, but never with another chain.
 */
interface Arrow {
  readonly shared: number
  /** Among the shared coordinates, row after row. */
  readonly a: Float64Array
  /** For each chain rate with all shared, then start with all shared. */
  readonly b: Float64Array
  /** For each chain: rate with rate, rate with start, start with start. */
  readonly d: Float64Array
}

/** How strongly a limit reading bends the log-density at a centre, per % squared; never quite nothing. */
function bendOf(table: LogTable, centre: number): number {
  const step = 0.004
  const slope = new Float64Array(1)
  const slopeAt = (at: number): number => {
    logAt(table, at, slope)
    return slope[0] ?? 0
  }
  return Math.max(1e-6, (slopeAt(centre - step) - slopeAt(centre + step)) / (2 * step))
}

/**
 * How strongly a reading bends the log-density: a figure by its precision, as far as it is no slip (so that Newton's
 * steps climb, as steps of expectation and maximisation do), an answer by what its table shows.
 */
function weightOf({ isFigure, tables, value, slipLog, precision }: Looks, r: number, centre: number): number {
  const table = tables[r]
  if (!table) return 1
  if (!isFigure[r]) return bendOf(table, centre)
  const slip = Math.exp((slipLog[r] ?? 0) - logAt(table, centre - (value[r] ?? 0)))
  return Math.max(1e-6, (precision[r] ?? 1) * (1 - slip))
}

/** What a look's elongation answers to a coordinate of each kind, at some coordinates. */
interface Answer {
  /** By shared coordinate, without the tools. */
  readonly shared: Float64Array
  readonly rate: number
  readonly start: number
  readonly elongation: number
}

function answersOf(model: RiderModel, looks: Looks, z: Float64Array): Answer[] {
  const { factors, kinds, places } = model
  const times = kindTimes(model, z)
  const { lookFrom, pieceFrom, kind, more } = looks
  const answers: Answer[] = []
  for (let c = 0; c + 1 < lookFrom.length; c++) {
    const { rate, start, beta, lateTimes, lateFrom } = chainState(model, z, c)
    const u = z[places.chains + 2 * c + 1] ?? 0
    const share = 1 / (1 + Math.exp(-u))
    const startSlope =
      model.chains[c]?.past === 'unknown' ? (UNKNOWN_TO - UNKNOWN_FROM) * share * (1 - share) : START_SD
    const perKind = new Float64Array(kinds.length)
    for (let look = lookFrom[c] ?? 0; look < (lookFrom[c + 1] ?? 0); look++) {
      for (let i = pieceFrom[look] ?? 0; i < (pieceFrom[look + 1] ?? 0); i++) {
        const k = kind[i] ?? 0
        perKind[k] = (perKind[k] ?? 0) + (more[i] ?? 0) * (times[k] ?? 0)
      }
      const wear = Math.max(
        0,
        perKind.reduce((x, y) => x + y, 0),
      )
      const grown = wear > 1e-12 ? rate * wear ** beta : 0
      const over = start + grown - lateFrom
      const late = 1 + (lateTimes - 1) * pastBendSlope(over)
      const shared = new Float64Array(places.chains)
      shared[places.rider] = late * grown * RIDER_LOG_SD
      shared[places.beta] = grown > 0 ? late * grown * beta * BETA_LOG_SD * Math.log(wear) : 0
      shared[places.lateTimes] = pastBend(over) * lateTimesSlope(z[places.lateTimes] ?? 0)
      shared[places.lateFrom] = (1 - lateTimes) * pastBendSlope(over) * LATE_FROM_SD
      if (grown > 0)
        kinds.forEach((of, k) => {
          const along = (late * grown * beta * (perKind[k] ?? 0)) / wear
          for (const place of of)
            shared[place] = (shared[place] ?? 0) + along * (factors[place - places.factors]?.logSd ?? 0)
        })
      answers.push({
        shared,
        rate: late * grown * CHAIN_LOG_SD,
        start: late * startSlope,
        elongation: lateWear(start + grown, lateTimes, lateFrom),
      })
    }
  }
  return answers
}

/**
 * How the log-density bends at some coordinates, its second derivatives by the first ones alone (Gauss and Newton):
 * the prior's own, and for each reading its weight times what its centre answers to each coordinate.
 */
function arrowAt(model: RiderModel, looks: Looks, z: Float64Array): Arrow {
  const { chains, places, tools } = model
  const shared = places.chains
  const a = new Float64Array(shared * shared)
  for (let i = 0; i < shared; i++) a[i * shared + i] = 1
  for (const { place } of tools) a[place * shared + place] = tailBend(z[place] ?? 0)
  const b = new Float64Array(2 * chains.length * shared)
  const d = new Float64Array(3 * chains.length)
  chains.forEach(({ past }, c) => {
    const half = 1 / (1 + Math.exp(-(z[places.chains + 2 * c + 1] ?? 0)))
    d[3 * c] = 1
    d[3 * c + 2] = past === 'unknown' ? 2 * half * (1 - half) : 1
  })
  const answers = answersOf(model, looks, z)
  const { lookFrom, readingFrom, tool } = looks
  const add = (to: Float64Array, at: number, by: number): void => void (to[at] = (to[at] ?? 0) + by)
  for (let c = 0; c < chains.length; c++)
    for (let look = lookFrom[c] ?? 0; look < (lookFrom[c + 1] ?? 0); look++) {
      const answer = answers[look]
      if (!answer) continue
      for (let r = readingFrom[look] ?? 0; r < (readingFrom[look + 1] ?? 0); r++) {
        const own = tools[tool[r] ?? 0]
        if (!own) continue
        const at = z[own.place] ?? 0
        const weight = weightOf(looks, r, answer.elongation + own.bias.b + own.bias.sb * biasSpreads(at))
        const along = Float64Array.from(answer.shared)
        along[own.place] = own.bias.sb * biasSpreadsSlope(at)
        for (let i = 0; i < shared; i++) {
          const w = weight * (along[i] ?? 0)
          if (w === 0) continue
          for (let j = 0; j <= i; j++) add(a, i * shared + j, w * (along[j] ?? 0))
          add(b, 2 * c * shared + i, w * answer.rate)
          add(b, (2 * c + 1) * shared + i, w * answer.start)
        }
        add(d, 3 * c, weight * answer.rate ** 2)
        add(d, 3 * c + 1, weight * answer.rate * answer.start)
        add(d, 3 * c + 2, weight * answer.start ** 2)
      }
    }
  return { shared, a, b, d }
}

/** The arrow as a product L Lᵀ, chains before what is shared: two solutions with it cost no more than the arrow has numbers. */
interface Factored {
  readonly shared: number
  /** Of each chain: the three numbers of its own triangle. */
  readonly own: Float64Array
  /** Of each chain: its two rows against the shared coordinates. */
  readonly rows: Float64Array
  /** The triangle of what is shared, row after row. */
  readonly lower: Float64Array
}

function factored({ shared, a, b, d }: Arrow): Factored {
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
function forward({ shared, own, rows, lower }: Factored, r: Float64Array, y: Float64Array): void {
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
function backward({ shared, own, rows, lower }: Factored, y: Float64Array, x: Float64Array): void {
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
function metricOf(by: Factored, dimension: number): Metric {
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

const MOST_STEPS = 30
/** The summit is reached where a step gains less than this. */
const ENOUGH = 1e-3

/**
 * The likeliest coordinates, by Newton's steps, and how the posterior spreads about them (Laplace's approximation):
 * where to start a sampler, and how far to step along what.
 * @param density of the same model
 * @param from where the climb begins; absent: in the prior's middle
 */
export function laplaceOf(
  model: RiderModel,
  density: LogDensity,
  from: Float64Array = new Float64Array(model.dimension),
  { slips = true } = {},
): SampleStart {
  const { dimension } = model
  const looks = looksOf(model, slips)
  let at = Float64Array.from(from)
  const slope = new Float64Array(dimension)
  const [half, step] = [new Float64Array(dimension), new Float64Array(dimension)]
  let log = density(at, slope)
  let by = factored(arrowAt(model, looks, at))
  for (let n = 0; n < MOST_STEPS; n++) {
    forward(by, slope, half)
    backward(by, half, step)
    let taken = 1
    let next = at.map((value, i) => value + (step[i] ?? 0))
    let logNext = density(next, slope)
    while (!(logNext >= log) && taken > 1e-4) {
      taken /= 2
      next = at.map((value, i) => value + taken * (step[i] ?? 0))
      logNext = density(next, slope)
    }
    if (!(logNext >= log)) break
    const gained = logNext - log
    ;[at, log] = [next, logNext]
    by = factored(arrowAt(model, looks, at))
    if (gained < ENOUGH) break
  }
  return {
    at,
    metric: metricOf(by, dimension),
    metricAbout: (middle) => metricOf(factored(arrowAt(model, looks, middle)), dimension),
  }
}

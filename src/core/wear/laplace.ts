import { backward, factored, forward, metricOf, type Arrow } from './arrow.ts'
import { logAt, type LogTable } from '../measure/log-table.ts'
import { biasSpreads, biasSpreadsSlope, tailBend } from '../measure/bias-tail.ts'
import type { LogDensity, SampleStart } from './hmc.ts'
import { LATE_FROM_SD, lateTimesSlope, lateWear, pastBend, pastBendSlope } from './late-wear.ts'
import { looksOf, type Looks } from './looks.ts'
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
    // Late wear stays where it was: the summit along it is a narrow place with next to nothing of the posterior in it.
    step[model.places.lateTimes] = 0
    step[model.places.lateFrom] = 0
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

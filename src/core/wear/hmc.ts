import { seededRandom, type Random } from '../random.ts'

/** A log-density over real coordinates: fills `slope` and returns the value, up to a constant. */
export type LogDensity = (z: Float64Array, slope: Float64Array) => number

export interface SampleOptions {
  readonly seed: number
  /** Independent chains of the sampler. */
  readonly chains: number
  readonly draws: number
  readonly warmUp: number
  /** Told after each hundred steps of a chain; returning true stops the sampling. */
  readonly onProgress?: (done: number, of: number) => boolean | void
}

export interface Sample {
  /** For each chain its draws, one after another, `dimension` numbers each. */
  readonly chains: readonly Float64Array[]
  readonly dimension: number
  /** Share of proposals taken after the warm-up. */
  readonly accepted: number
}

/** Share of proposals to be taken (Hoffman & Gelman 2014). */
const WANTED = 0.8
/** A quarter of the way round a unit normal's orbit; paths are drawn evenly up to half as much again. */
const PATH = Math.PI / 2
const MOST_STEPS = 48
const TELL_EVERY = 100

/** Dual averaging of the step's logarithm (Hoffman & Gelman 2014, algorithm 5, with their constants). */
function stepTuner(first: number) {
  const aim = Math.log(10 * first)
  let [count, drift, log, smooth] = [0, 0, Math.log(first), 0]
  return {
    tell: (acceptance: number): void => {
      count++
      drift += (WANTED - acceptance - drift) / (count + 10)
      log = aim - (Math.sqrt(count) / 0.05) * drift
      const weight = count ** -0.75
      smooth = weight * log + (1 - weight) * smooth
    },
    now: (): number => Math.exp(log),
    settled: (): number => Math.exp(smooth),
  }
}

/** More coordinates than this are scaled one by one: too few draws would tell how they go together. */
const MOST_TOGETHER = 120

/** How coordinates spread and go together: the lower triangle of a matrix whose square is their covariance. */
interface Metric {
  /** Row after row. */
  readonly lower: Float64Array
  readonly together: boolean
}

function unitMetric(dimension: number): Metric {
  const lower = new Float64Array(dimension * dimension)
  for (let i = 0; i < dimension; i++) lower[i * dimension + i] = 1
  return { lower, together: false }
}

/** Covariance of draws kept one after another, drawn a little towards small spreads of their own (as Stan does). */
function covarianceOf(draws: readonly Float64Array[], dimension: number): Float64Array {
  const count = draws.length
  const mean = new Float64Array(dimension)
  for (const z of draws) for (let i = 0; i < dimension; i++) mean[i] = (mean[i] ?? 0) + (z[i] ?? 0) / count
  const covariance = new Float64Array(dimension * dimension)
  const kept = count / (count + 5)
  for (const z of draws)
    for (let i = 0; i < dimension; i++) {
      const off = (z[i] ?? 0) - (mean[i] ?? 0)
      for (let j = 0; j <= i; j++) {
        const at = i * dimension + j
        covariance[at] =
          (covariance[at] ?? 0) + (kept * off * ((z[j] ?? 0) - (mean[j] ?? 0))) / Math.max(1, count - 1)
      }
    }
  for (let i = 0; i < dimension; i++) {
    const at = i * dimension + i
    covariance[at] = (covariance[at] ?? 0) + 1e-3 * (1 - kept)
  }
  return covariance
}

/** What the draws of the warm-up say of how far to step along each coordinate, and along which together. */
function metricOf(draws: readonly Float64Array[], dimension: number): Metric {
  const covariance = covarianceOf(draws, dimension)
  const together = dimension <= MOST_TOGETHER && draws.length > 2 * dimension
  const lower = new Float64Array(dimension * dimension)
  for (let i = 0; i < dimension; i++)
    for (let j = together ? 0 : i; j <= i; j++) {
      // Cholesky's decomposition; with every coordinate by itself only the diagonal is left.
      let rest = covariance[i * dimension + j] ?? 0
      if (together)
        for (let k = 0; k < j; k++) rest -= (lower[i * dimension + k] ?? 0) * (lower[j * dimension + k] ?? 0)
      lower[i * dimension + j] =
        i === j ? Math.sqrt(Math.max(1e-12, rest)) : rest / (lower[j * dimension + j] ?? 1)
    }
  return { lower, together }
}

/** One chain's state: where it stands, the slope there, and room for the next proposal. */
function walker(density: LogDensity, dimension: number, random: Random) {
  let z = Float64Array.from({ length: dimension }, () => random.normal(0, 0.5))
  let slope = new Float64Array(dimension)
  let log = density(z, slope)
  let [zNext, slopeNext] = [new Float64Array(dimension), new Float64Array(dimension)]
  const momentum = new Float64Array(dimension)
  /** Momentum takes up the slope as the metric sees it. */
  const kick = (of: Float64Array, by: number, { lower, together }: Metric): void => {
    for (let j = 0; j < dimension; j++) {
      let sum = (lower[j * dimension + j] ?? 0) * (of[j] ?? 0)
      if (together)
        for (let i = j + 1; i < dimension; i++) sum += (lower[i * dimension + j] ?? 0) * (of[i] ?? 0)
      momentum[j] = (momentum[j] ?? 0) + by * sum
    }
  }
  const drift = (to: Float64Array, by: number, { lower, together }: Metric): void => {
    for (let i = 0; i < dimension; i++) {
      let sum = (lower[i * dimension + i] ?? 0) * (momentum[i] ?? 0)
      if (together) for (let j = 0; j < i; j++) sum += (lower[i * dimension + j] ?? 0) * (momentum[j] ?? 0)
      to[i] = (to[i] ?? 0) + by * sum
    }
  }
  const energy = (): number => momentum.reduce((sum, value) => sum + 0.5 * value * value, 0)
  return {
    at: () => z,
    /** One leapfrog path and its Metropolis step; gives the chance with which it was taken. */
    step: (size: number, metric: Metric): number => {
      for (let i = 0; i < dimension; i++) momentum[i] = random.normal(0, 1)
      const before = energy() - log
      zNext.set(z)
      slopeNext.set(slope)
      const steps = Math.max(1, Math.min(MOST_STEPS, Math.round((random.between(0.5, 1.5) * PATH) / size)))
      let logNext = log
      for (let n = 0; n < steps; n++) {
        kick(slopeNext, size / 2, metric)
        drift(zNext, size, metric)
        logNext = density(zNext, slopeNext)
        kick(slopeNext, size / 2, metric)
      }
      const chance = Math.min(1, Math.exp(before - (energy() - logNext)))
      // A path that ran off to nowhere is no number and is not taken.
      if (random.unit() < chance) {
        ;[z, zNext] = [zNext, z]
        ;[slope, slopeNext] = [slopeNext, slope]
        log = logNext
      }
      return Number.isFinite(chance) ? chance : 0
    },
  }
}

function sampleChain(
  density: LogDensity,
  dimension: number,
  random: Random,
  { draws, warmUp }: SampleOptions,
  tell: () => boolean,
): { readonly kept: Float64Array; readonly accepted: number } | undefined {
  const walk = walker(density, dimension, random)
  let metric = unitMetric(dimension)
  let tuner = stepTuner(0.2)
  // Step first, then the metric over the middle of the warm-up in two windows, then the step again.
  const windows = [0.15, 0.4, 0.7].map((share) => Math.round(share * warmUp))
  let seen: Float64Array[] = []
  for (let n = 0; n < warmUp; n++) {
    tuner.tell(walk.step(tuner.now(), metric))
    if (n >= (windows[0] ?? 0)) seen.push(Float64Array.from(walk.at()))
    if (windows.includes(n) && n !== windows[0]) {
      metric = metricOf(seen, dimension)
      seen = []
      tuner = stepTuner(tuner.settled())
    }
    if (n % TELL_EVERY === TELL_EVERY - 1 && tell()) return undefined
  }
  const size = tuner.settled()
  const kept = new Float64Array(draws * dimension)
  let accepted = 0
  for (let n = 0; n < draws; n++) {
    accepted += walk.step(size, metric)
    kept.set(walk.at(), n * dimension)
    if (n % TELL_EVERY === TELL_EVERY - 1 && tell()) return undefined
  }
  return { kept, accepted: accepted / draws }
}

/**
 * Draws from a density by Hamiltonian Monte Carlo: leapfrog paths of a length that varies, a step tuned to four
 * proposals in five taken, coordinates scaled by their spreads and by how they go together, all learned in the warm-up
 * and then left alone.
 * The same seed gives the same draws.
 * @returns undefined where it was stopped
 */
export function sampleHmc(
  density: LogDensity,
  dimension: number,
  options: SampleOptions,
): Sample | undefined {
  const { seed, chains, draws, warmUp, onProgress } = options
  const of = chains * (draws + warmUp)
  let done = 0
  const tell = (): boolean => {
    done += TELL_EVERY
    return onProgress?.(done, of) === true
  }
  const sampled: Float64Array[] = []
  let accepted = 0
  for (let c = 0; c < chains; c++) {
    // Seeds far apart, so that chains of neighbouring seeds share nothing.
    const random = seededRandom(Math.imul(seed, 0x9e3779b1) ^ Math.imul(c + 1, 0x85ebca6b))
    const chain = sampleChain(density, dimension, random, options, tell)
    if (!chain) return undefined
    sampled.push(chain.kept)
    accepted += chain.accepted / chains
  }
  return { chains: sampled, dimension, accepted }
}

import { toEnd, type JobStep } from '../job.ts'
import { seededRandom, type Random } from '../stats/random.ts'
import { meanDraw, type Metric } from './metric.ts'

/** A log-density over real coordinates: fills `slope` and returns the value, up to a constant. */
export type LogDensity = (z: Float64Array, slope: Float64Array) => number

export interface SampleOptions {
  readonly seed: number
  /** Independent chains of the sampler. */
  readonly chains: number
  readonly draws: number
  /** Steps of the first chain before its draws count; the others need fewer. */
  readonly warmUp: number
}

/** Where a sampler begins: the middle of where it may stand, and how far to step along what. */
export interface SampleStart {
  readonly at: Float64Array
  readonly metric: Metric
  /** How far to step about another middle: asked once, of where the warm-up has led to. */
  readonly metricAbout: (middle: Float64Array) => Metric
}

export interface Sample {
  /** For each chain its draws, one after another, `dimension` numbers each. */
  readonly chains: readonly Float64Array[]
  readonly dimension: number
  /** Share of proposals taken after the warm-up. */
  readonly accepted: number
}

/** Share of proposals to be taken while the step is tuned (Hoffman & Gelman 2014); once it has settled, four in five are. */
const WANTED = 0.7
/** A third of the way round the orbit of a unit normal: neighbouring draws then hardly correlate. Paths vary by half of it. */
const PATH = 2
const MOST_STEPS = 48
/** The step is tuned from here on. */
const FIRST_STEP = 0.4
const TELL_EVERY = 20

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

/** One chain's state: where it stands, the slope there, and room for the next proposal. */
function walker(
  density: LogDensity,
  dimension: number,
  random: Random,
  { at, metric: first }: Omit<SampleStart, 'metricAbout'>,
) {
  let z = Float64Array.from(at)
  const momentum = new Float64Array(dimension)
  // Wider than the posterior is thought to be, so that chains that agree have found their way from apart.
  for (let i = 0; i < dimension; i++) momentum[i] = random.normal(0, 1.5)
  first.drift(z, momentum, 1)
  let slope = new Float64Array(dimension)
  let log = density(z, slope)
  let [zNext, slopeNext] = [new Float64Array(dimension), new Float64Array(dimension)]
  const flat = new Float64Array(dimension)
  const energy = (): number => {
    let sum = 0
    for (let i = 0; i < dimension; i++) sum += 0.5 * (momentum[i] as number) ** 2
    return sum
  }
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
      metric.kick(momentum, slopeNext, size / 2)
      for (let n = 1; n <= steps; n++) {
        metric.drift(zNext, momentum, size)
        logNext = density(zNext, slopeNext)
        // Two half kicks with nothing between them are one.
        metric.kick(momentum, slopeNext, n < steps ? size : size / 2)
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
    /**
     * A leap from about one summit to the like place about another (Tjelmeland & Hegstad 2001), and its Metropolis step: hills
     * that no path crosses are visited as often as they deserve.
     */
    leap: (summits: readonly Pick<Tuned, 'middle' | 'metric'>[]): void => {
      const [a, b] = twoOf(summits.length, random)
      const [from, to] = [summits[a], summits[b]]
      if (!from || !to) return
      for (let i = 0; i < dimension; i++) zNext[i] = (z[i] as number) - (from.middle[i] as number)
      from.metric.flatten(flat, zNext)
      zNext.set(to.middle)
      to.metric.drift(zNext, flat, 1)
      const logNext = density(zNext, slopeNext)
      if (!(random.unit() < Math.exp(logNext - log + to.metric.logVolume - from.metric.logVolume))) return
      ;[z, zNext] = [zNext, z]
      ;[slope, slopeNext] = [slopeNext, slope]
      log = logNext
    },
  }
}

/** Two different numbers below a count, in either order alike. */
function twoOf(count: number, random: Random): readonly [number, number] {
  const a = Math.floor(random.unit() * count)
  return [a, (a + 1 + Math.floor(random.unit() * (count - 1))) % count]
}

/** How a chain of the sampler goes on from where it begins: its warm-up, and what it learns in it. */
interface Tuned {
  readonly metric: Metric
  readonly size: number
  /** The mean of the second part of the warm-up. */
  readonly middle: Float64Array
}

interface Effort {
  readonly draws: number
  readonly warmUp: number
}

type Walker = ReturnType<typeof walker>

/** The first walk from a summit finds the way about it: the middle, what to step along there, and how far. */
function* warmedUp(walk: Walker, start: SampleStart, warmUp: number): Generator<number, Tuned> {
  let { metric, at: middle } = start
  let tuner = stepTuner(FIRST_STEP)
  // The way to the middle, then the middle itself, then the step about it.
  const [there, known] = [Math.round(0.2 * warmUp), Math.round(0.5 * warmUp)]
  const seen: Float64Array[] = []
  for (let n = 0; n < warmUp; n++) {
    tuner.tell(walk.step(tuner.now(), metric))
    if (n >= there && n <= known) seen.push(Float64Array.from(walk.at()))
    if (n === known) {
      middle = meanDraw(seen)
      metric = start.metricAbout(middle)
      tuner = stepTuner(tuner.settled())
    }
    if (n % TELL_EVERY === TELL_EVERY - 1) yield n + 1
  }
  return { metric, size: tuner.settled(), middle }
}

/** One chain's draws, after a warm-up of its own where another chain has found the way. */
function* sampleChain(
  walk: Walker,
  dimension: number,
  { draws, warmUp }: Effort,
  { metric, size: known }: Tuned,
  summits: readonly Tuned[],
): Generator<number, { readonly kept: Float64Array; readonly accepted: number }> {
  const tuner = stepTuner(known)
  for (let n = 0; n < warmUp; n++) {
    tuner.tell(walk.step(tuner.now(), metric))
    if (n % TELL_EVERY === TELL_EVERY - 1) yield n + 1
  }
  const size = warmUp > 0 ? tuner.settled() : known
  const kept = new Float64Array(draws * dimension)
  let accepted = 0
  for (let n = 0; n < draws; n++) {
    accepted += walk.step(size, metric)
    if (summits.length > 1) walk.leap(summits)
    kept.set(walk.at(), n * dimension)
    if (n % TELL_EVERY === TELL_EVERY - 1) yield warmUp + n + 1
  }
  return { kept, accepted: accepted / draws }
}

/** The first chain about a summit finds the way; the others begin about where it was led, wide apart, and need less of a warm-up. */
const LATER_WARM_UP = 0.4

/**
 * Draws from a density by Hamiltonian Monte Carlo: leapfrog paths of a length that varies, a step tuned so that four
 * proposals in five are taken, coordinates scaled by their spreads and by how they correlate about where the warm-up
 * has led to, and all left alone from then on. Where there are several summits the chains begin about them in turn, and leap
 * between them. The same seed gives the same draws.
 * @param starts the summits, at least one
 * @yields how far it has come, every few milliseconds: whoever walks it may stop walking
 */
export function* sampleHmcSteps(
  density: LogDensity,
  dimension: number,
  options: SampleOptions,
  starts: readonly SampleStart[],
): Generator<JobStep, Sample, undefined> {
  const { seed, chains, draws, warmUp } = options
  const later = Math.round(LATER_WARM_UP * warmUp)
  const summits = starts.slice(0, chains)
  const of = summits.length * warmUp + chains * draws + (chains - summits.length) * later
  const sampled: Float64Array[] = []
  let [accepted, before] = [0, 0]
  const told = function* <T>(walk: Generator<number, T>, steps: number): Generator<JobStep, T> {
    let step = walk.next()
    for (; !step.done; step = walk.next()) yield { done: before + step.value, of }
    before += steps
    return step.value
  }
  // Seeds far apart, so that chains of neighbouring seeds share nothing.
  const randomOf = (c: number): Random =>
    seededRandom(Math.imul(seed, 0x9e3779b1) ^ Math.imul(c + 1, 0x85ebca6b))
  const firsts: Walker[] = []
  const tuned: Tuned[] = []
  for (const [c, start] of summits.entries()) {
    const walk = walker(density, dimension, randomOf(c), start)
    firsts.push(walk)
    tuned.push(yield* told(warmedUp(walk, start, warmUp), warmUp))
  }
  for (let c = 0; c < chains; c++) {
    const own = tuned[c % tuned.length]
    if (!own) break
    const first = firsts[c]
    const effort = { draws, warmUp: first ? 0 : later }
    const walk = first ?? walker(density, dimension, randomOf(c), { at: own.middle, metric: own.metric })
    const { kept, accepted: taken } = yield* told(
      sampleChain(walk, dimension, effort, own, tuned),
      effort.warmUp + draws,
    )
    sampled.push(kept)
    accepted += taken / chains
  }
  return { chains: sampled, dimension, accepted }
}

/** {@link sampleHmcSteps}, walked to its end. */
export const sampleHmc = (
  density: LogDensity,
  dimension: number,
  options: SampleOptions,
  starts: readonly SampleStart[],
): Sample => toEnd(sampleHmcSteps(density, dimension, options, starts))

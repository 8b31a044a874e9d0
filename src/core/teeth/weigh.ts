import { evenlySpaced } from '../stats/resample.ts'
import { seededRandom, type Random } from '../stats/random.ts'
import type { AskedSet } from './asked-teeth.ts'
import { MM_PER_PERCENT, MM_PER_PERCENT_LOG_SD, type ToothShift } from './evidence.ts'
import type { RoadOfTeeth } from './road-of-teeth.ts'
import { COG_LOG_SD, NODES, SET_LOG_SD, setLikelihood, type SetLikelihood } from './set-likelihood.ts'
import { THRESHOLD_SD } from './skip.ts'

/** So many of the rider's thresholds and picture scales are tried with every draw of the road. */
const TRIES = 4
/** Draws stand about the five places rather than on them: by so much, in standard spreads. */
const BESIDE = 0.35

/** One way it may be: which draw of the road, and the rider's own numbers. */
interface Try extends ToothShift {
  readonly n: number
}

/** What is believed of all sets together after the evidence, draw by draw. */
export interface WeighedTeeth {
  /** Which of the rider's draws each goes with. */
  readonly of: Int32Array
  readonly shift: Float32Array
  readonly mmPerPercent: Float32Array
  /** For each set and each of its sprockets what its teeth have shaped themselves to, %. */
  readonly worn: readonly (readonly Float32Array[])[]
  /** How many independent draws of the road and the rider are behind them. */
  readonly effective: number
}

/** The place of one of some weights, as often as it has weight. */
function pick(weights: Float64Array, random: Random): number {
  let left = random.unit() * weights.reduce((a, b) => a + b, 0)
  for (let i = 0; i < weights.length; i++) {
    left -= weights[i] ?? 0
    if (left < 0) return i
  }
  return weights.length - 1
}

/** About a place of the rule; spread no wider in all than a standard normal. */
const near = (node: number | undefined, random: Random): number =>
  ((node ?? 0) + random.normal(0, BESIDE)) / Math.hypot(1, BESIDE)

/** One draw of a set's teeth: as the road has them, times the factors of the set and of each cog. */
function drawSet(
  set: AskedSet,
  road: RoadOfTeeth,
  likelihood: SetLikelihood | undefined,
  one: Try,
  random: Random,
): number[] {
  likelihood?.at(one.n, one)
  const k = likelihood ? pick(likelihood.bySet, random) : undefined
  const whole = k === undefined ? random.normal(0, 1) : near(NODES[k], random)
  return set.sprockets.map((_, j) => {
    const isFound = set.evidence.some(({ sprocket }) => sprocket === j)
    const own =
      likelihood && k !== undefined && isFound
        ? near(NODES[pick(likelihood.byCog(k, j), random)], random)
        : random.normal(0, 1)
    return (road.now[j]?.[one.n] ?? 0) * Math.exp(SET_LOG_SD * whole + COG_LOG_SD * own)
  })
}

/**
 * Weighs the road's draws by all that was found out (methods 5): the factors of each set and each cog are summed out and then
 * drawn; the rider's threshold and what a picture's millimetre means are shared by all sets, and move with them.
 * @param sets and what the road alone did to each
 * @param draws of the road
 * @param count so many draws come out
 */
export function weighTeeth(
  sets: readonly { readonly set: AskedSet; readonly road: RoadOfTeeth }[],
  draws: number,
  count: number,
  seed: number,
): WeighedTeeth {
  const random = seededRandom(seed)
  const tries = Array.from({ length: draws * TRIES }, (_, i): Try => ({
    n: i % draws,
    shift: random.normal(0, THRESHOLD_SD),
    mmPerPercent: MM_PER_PERCENT * Math.exp(random.normal(0, MM_PER_PERCENT_LOG_SD)),
  }))
  const likelihoods = sets.map(({ set, road }) =>
    set.evidence.length > 0 ? setLikelihood(set, road, draws) : undefined,
  )
  const weights = Float64Array.from(tries, (one) =>
    likelihoods.reduce((product, likelihood) => product * (likelihood?.at(one.n, one) ?? 1), 1),
  )
  const total = weights.reduce((a, b) => a + b, 0)
  const square = weights.reduce((sum, w) => sum + w * w, 0)
  // Where nothing that was found can be, all is as the road has it.
  if (!(total > 0)) weights.fill(1)
  const picked = Array.from(evenlySpaced(weights, count, random.unit()), (place) => tries[place]).flatMap(
    (one) => one ?? [],
  )
  const worn = sets.map(({ set }) => set.sprockets.map(() => new Float32Array(count)))
  picked.forEach((one, at) => {
    sets.forEach(({ set, road }, s) => {
      drawSet(set, road, likelihoods[s], one, random).forEach((value, j) => {
        const list = worn[s]?.[j]
        if (list) list[at] = value
      })
    })
  })
  return {
    of: Int32Array.from(picked, ({ n }) => n),
    shift: Float32Array.from(picked, ({ shift }) => shift),
    mmPerPercent: Float32Array.from(picked, ({ mmPerPercent }) => mmPerPercent),
    worn,
    effective: total > 0 ? (total * total) / square : 0,
  }
}

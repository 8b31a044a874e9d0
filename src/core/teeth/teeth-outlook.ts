import type { JobStep } from '../job.ts'
import { intervalOf, type Interval } from '../stats/interval.ts'
import { meanOf } from '../stats/mean.ts'
import type { PartId } from '../log/entry.ts'
import { keptElongation, type KeptChainDraws } from '../wear/kept-draws.ts'
import type { AskedSet, TeethAsk } from './asked-teeth.ts'
import { MM_PER_PERCENT, MM_PER_PERCENT_LOG_SD } from './evidence.ts'
import { roadOfTeeth, type RoadOfTeeth } from './road-of-teeth.ts'
import { THRESHOLD_SD } from './skip.ts'
import { weighTeeth } from './weigh.ts'

/** What is said of one cog or ring. */
export interface SprocketOutlook {
  readonly teeth: number
  /** What its teeth have shaped themselves to, %: by the road alone, and with all that was found out. */
  readonly before: Interval
  readonly after: Interval
  readonly mean: number
  /** Draw by draw, %. */
  readonly worn: Float32Array
}

/** A cassette or a ring. */
export interface SetOutlook {
  readonly role: AskedSet['role']
  readonly sprockets: readonly SprocketOutlook[]
}

/** One of the rider's own numbers: as believed beforehand, and now. */
export interface OwnNumber {
  readonly before: Interval
  readonly after: Interval
}

/** Everything that is said of a rider's teeth. Plain data: it comes from a worker, and is kept. */
export interface TeethOutlook {
  readonly sets: Readonly<Record<PartId, SetOutlook>>
  /** By how much more than most riders the teeth may be ahead of the chain before it skips, %. */
  readonly threshold: OwnNumber
  /** What a % is worth in a picture, mm of valley. */
  readonly mmPerPercent: OwnNumber
  /** Draw by draw: the rider's threshold, and the picture's scale. */
  readonly shift: Float32Array
  readonly mm: Float32Array
  /** Elongation of each of the rider's chains now, %, draw by draw as the teeth are. */
  readonly chains: Readonly<Record<PartId, Float32Array>>
  /** So many independent draws are behind all this. */
  readonly effective: number
}

const COUNT = 500
/** 10th and 90th percentile of a standard normal (Abramowitz & Stegun 26.2). */
const Z90 = 1.2815515655

/** A chain's elongation now, %, in the order of the teeth's draws. */
function chainAsItIs(chain: KeptChainDraws, of: Int32Array): Float32Array {
  const worn = keptElongation(chain, chain.wearKm)
  return Float32Array.from(of, (n) => worn[n] ?? 0)
}

const asInterval = (values: ArrayLike<number>): Interval => intervalOf(Float64Array.from(values))

/**
 * What the road and all that was found out make of a rider's cassettes and rings (methods 5).
 * @yields how far it has come, set by set
 */
export function* teethOutlookSteps({
  draws,
  sets,
  seed,
}: TeethAsk): Generator<JobStep, TeethOutlook, undefined> {
  const ridden: { readonly set: AskedSet; readonly road: RoadOfTeeth }[] = []
  for (const [s, set] of sets.entries()) {
    ridden.push({ set, road: roadOfTeeth(draws, set, seed + 101 * s) })
    yield { done: s + 1, of: sets.length + 1 }
  }
  const weighed = weighTeeth(ridden, draws.count, COUNT, seed)
  const outlooks = ridden.map(({ set, road }, s): readonly [PartId, SetOutlook] => [
    set.part,
    {
      role: set.role,
      sprockets: set.sprockets.map(({ teeth }, j) => {
        const worn = weighed.worn[s]?.[j] ?? new Float32Array(0)
        return {
          teeth,
          before: asInterval(road.now[j] ?? []),
          after: asInterval(worn),
          mean: meanOf(worn),
          worn,
        }
      }),
    },
  ])
  const scale = Math.exp(Z90 * MM_PER_PERCENT_LOG_SD)
  return {
    sets: Object.fromEntries(outlooks),
    threshold: {
      before: { p10: -Z90 * THRESHOLD_SD, p50: 0, p90: Z90 * THRESHOLD_SD },
      after: asInterval(weighed.shift),
    },
    mmPerPercent: {
      before: { p10: MM_PER_PERCENT / scale, p50: MM_PER_PERCENT, p90: MM_PER_PERCENT * scale },
      after: asInterval(weighed.mmPerPercent),
    },
    shift: weighed.shift,
    mm: weighed.mmPerPercent,
    chains: Object.fromEntries(
      Object.entries(draws.chains).map(([id, chain]) => [id, chainAsItIs(chain, weighed.of)]),
    ),
    effective: weighed.effective,
  }
}

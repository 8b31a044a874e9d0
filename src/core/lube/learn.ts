import { CONDITION_MULTIPLIER, isWet, type Condition } from '../exposure/conditions.ts'
import type { Interval } from '../stats/interval.ts'
import { normalCdf, normalDensity } from '../stats/normal.ts'
import { quantile, weighted } from '../stats/weighted.ts'
import type { ChainLook } from './chain-looks.ts'
import { LUBE_LIFE_KM, LUBES, type Lube } from './lubes.ts'

/** What a look or a squeak tells of: how much of a life was used by then, by the table. */
export interface LifeEvidence {
  readonly lube: Lube
  /** Share of its life used on dry roads, and on wet ones. */
  readonly dryUsed: number
  readonly wetUsed: number
  readonly look: ChainLook
}

/** A lubricant's life on this rider's chains: as taken of every rider, and now. */
export interface OwnLife {
  /** Dry road, km. */
  readonly lifeKm: { readonly before: Interval; readonly after: Interval }
  /** How much faster it goes in the wet than the table has it. */
  readonly wetFactor: { readonly before: Interval; readonly after: Interval }
  /** So many looks told of it. */
  readonly looks: number
}

export type OwnLives = Readonly<Record<Exclude<Lube, 'none'>, OwnLife>>

/** Before any look: the table's life is a guess to within about a half either way, and so is what wet does to it. Ours. */
const LIFE_LOG_SD = 0.35
const WET_LOG_SD = 0.25
/** One application lasts longer than another of the same kind. */
const EACH_LOG_SD = 0.3
/** Where on the way a chain begins to look dry, and to squeak: log of the used share of its true life. */
const DRY_FROM = -0.15
const SQUEAKS_FROM = 0.25

const LIFE_STEPS = Array.from({ length: 49 }, (_, i) => (i - 24) * 0.06)
const WET_STEPS = Array.from({ length: 25 }, (_, i) => (i - 12) * 0.08)
/** 10th and 90th percentile of a standard normal. */
const Z90 = 1.2815515655

/**
 * Chance of a look by how far along its true life an application is. A look is censored like a drop-in gauge: it says only on
 * which side of a mark the chain is. Black says that it is dirty, and nothing of its life.
 */
function lookChance(look: ChainLook, logUsed: number): number {
  const under = (mark: number): number => normalCdf((mark - logUsed) / EACH_LOG_SD)
  switch (look) {
    case 'quiet':
      return under(DRY_FROM)
    case 'dry':
      return under(SQUEAKS_FROM) - under(DRY_FROM)
    case 'squeaks':
    case 'rusty':
      return 1 - under(SQUEAKS_FROM)
    case 'black':
      return 1
  }
}

const logInterval = (middle: number, sd: number): Interval => ({
  p10: middle * Math.exp(-Z90 * sd),
  p50: middle,
  p90: middle * Math.exp(Z90 * sd),
})

function lifeOf(lube: Exclude<Lube, 'none'>, evidence: readonly LifeEvidence[]): OwnLife {
  const told = evidence.filter(
    (one) => one.lube === lube && one.look !== 'black' && one.dryUsed + one.wetUsed > 0,
  )
  const life: number[] = []
  const wet: number[] = []
  const weights: number[] = []
  for (const a of LIFE_STEPS)
    for (const b of WET_STEPS) {
      let weight = normalDensity(a / LIFE_LOG_SD) * normalDensity(b / WET_LOG_SD)
      for (const { dryUsed, wetUsed, look } of told)
        weight *= 1e-6 + lookChance(look, Math.log(dryUsed + wetUsed * Math.exp(b)) - a)
      life.push(LUBE_LIFE_KM[lube] * Math.exp(a))
      wet.push(Math.exp(b))
      weights.push(weight)
    }
  const after = (values: readonly number[]): Interval => {
    const sorted = weighted(values, weights)
    return { p10: quantile(sorted, 0.1), p50: quantile(sorted, 0.5), p90: quantile(sorted, 0.9) }
  }
  const lifeBefore = logInterval(LUBE_LIFE_KM[lube], LIFE_LOG_SD)
  const wetBefore = logInterval(1, WET_LOG_SD)
  return {
    lifeKm: { before: lifeBefore, after: told.length > 0 ? after(life) : lifeBefore },
    wetFactor: { before: wetBefore, after: told.length > 0 ? after(wet) : wetBefore },
    looks: told.length,
  }
}

/** Lives of every lubricant on this rider's chains, by what was seen and heard of them (ours; the table is methods 6). */
export const ownLives = (evidence: readonly LifeEvidence[]): OwnLives =>
  Object.fromEntries(
    LUBES.flatMap((lube) => (lube === 'none' ? [] : [[lube, lifeOf(lube, evidence)]])),
  ) as unknown as OwnLives

/** Share of a life that a ride uses, by the table, dry and wet apart. */
export function tableShare(
  lube: Lube,
  { km, condition }: { readonly km: number; readonly condition: Condition },
): Pick<LifeEvidence, 'dryUsed' | 'wetUsed'> {
  const share = lube === 'none' ? 0 : (km * CONDITION_MULTIPLIER[condition]) / LUBE_LIFE_KM[lube]
  return isWet(condition) ? { dryUsed: 0, wetUsed: share } : { dryUsed: share, wetUsed: 0 }
}

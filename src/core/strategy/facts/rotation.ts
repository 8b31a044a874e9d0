import type { PartId } from '../../log/entry.ts'
import type { RelayAhead } from '../relay.ts'
import type { Interval } from '../../stats/interval.ts'
import type { WashableChain } from './wash-facts.ts'

/** Chains of one set are kept within this of one another, %: further apart they shape the cogs differently (job.md). */
export const TOGETHER_PERCENT = 0.1

/** A chain of a set that takes turns. */
export interface HookChain extends WashableChain {
  /** Elongation, %; undefined while it is being worked out, or where it was never read. */
  readonly percent: number | undefined
}

/** Why a chain is the next to go on. */
export type RotationWhy = 'least-worn' | 'rain' | 'only-ready'

/** Why a chain gives way: what is on it is used up, it is ahead of the others, or its turn is over. */
export type GiveWayWhy = 'lube' | 'ahead' | 'turn'

/** Chains that take turns on a bike. */
export interface Rotation {
  readonly chains: readonly HookChain[]
  /** How far apart they are, %; undefined with fewer than two known. */
  readonly apartPercent: number | undefined
  readonly isApart: boolean
  /** The one to put on next, and why; undefined where none is ready, or the one that is on is the best. */
  readonly next?: { readonly id: PartId; readonly why: RotationWhy }
  /** None of those that wait could go on as it is. */
  readonly isNoneReady: boolean
  /** When the chain that is on should give way, km from now, and why; 0 is now. */
  readonly giveWay?: { readonly inKm: number; readonly why: GiveWayWhy; readonly range?: Interval }
}

/** What turns are judged by beside the chains themselves. */
export interface RotationBy {
  /** Much of the road to come is wet. */
  readonly isRainAhead: boolean
  /** How the set goes on; undefined while it is being worked out. */
  readonly ahead: Pick<RelayAhead, 'aheadInKm'> | undefined
  /** A turn is so long, km; undefined: the set is kept evenly worn. */
  readonly everyKm: number | undefined
  /** km of this turn. */
  readonly turnKm: number
}

/** A chain can go on as it is: what is on it is not used up. */
export const isReady = ({ lube, facts }: WashableChain): boolean =>
  lube !== undefined && lube !== 'none' && facts?.clock.due !== true

function giveWayOf(
  on: HookChain | undefined,
  { ahead, everyKm, turnKm }: RotationBy,
): NonNullable<Rotation['giveWay']> | undefined {
  const turn: Rotation['giveWay'] =
    everyKm !== undefined
      ? { inKm: Math.max(0, everyKm - turnKm), why: 'turn' }
      : ahead && { inKm: ahead.aheadInKm.p50, why: 'ahead', range: ahead.aheadInKm }
  const lube: Rotation['giveWay'] = on?.facts && { inKm: on.facts.leftKm, why: 'lube' }
  return turn && (!lube || turn.inKm <= lube.inKm) ? turn : lube
}

/**
 * Whose turn it is in a set: the least worn that is ready, so that they wear evenly (methods 8); in the rain the most worn, which
 * has least to lose.
 * @returns undefined for fewer than two chains
 */
export function rotationOf(chains: readonly HookChain[], by: RotationBy): Rotation | undefined {
  if (chains.length < 2) return undefined
  const known = chains.flatMap(({ percent }) => percent ?? [])
  const apartPercent = known.length < 2 ? undefined : Math.max(...known) - Math.min(...known)
  const on = chains.find(({ isOn }) => isOn)
  const ready = chains.filter((one) => !one.isOn && isReady(one))
  const byWear = [...ready].sort((a, b) => (a.percent ?? Infinity) - (b.percent ?? Infinity) || a.km - b.km)
  const choice = by.isRainAhead ? byWear.at(-1) : byWear[0]
  const isBetterOn =
    by.isRainAhead && on !== undefined && isReady(on) && (on.percent ?? 0) >= (choice?.percent ?? 0)
  const giveWay = ready.length > 0 && !isBetterOn ? giveWayOf(on, by) : undefined
  return {
    chains,
    apartPercent,
    // As it is said: to a hundredth of a percent.
    isApart: (apartPercent ?? 0) >= TOGETHER_PERCENT + 0.005,
    isNoneReady: ready.length === 0,
    ...(giveWay && { giveWay }),
    ...(choice &&
      !isBetterOn && {
        next: {
          id: choice.id,
          why: ready.length === 1 ? 'only-ready' : by.isRainAhead ? 'rain' : 'least-worn',
        },
      }),
  }
}

import type { PartId } from '../../log/entry.ts'
import type { WashableChain } from './wash-facts.ts'

/** Chains of one set are kept within this of one another, %: further apart they shape the cogs differently (job.md). */
export const TOGETHER_PERCENT = 0.1
/** A chain that is ahead by this gives way to the one least worn, %. Half of what the set may be apart. */
const AHEAD_PERCENT = 0.05

/** A chain of a set that takes turns. */
export interface HookChain extends WashableChain {
  /** Elongation, %; undefined while it is being worked out, or where it was never read. */
  readonly percent: number | undefined
}

/** Why a chain is the next to go on. */
export type RotationWhy = 'least-worn' | 'rain' | 'only-ready'

/** Chains that take turns on a bike. */
export interface Rotation {
  readonly chains: readonly HookChain[]
  /** How far apart they are, %; undefined with fewer than two known. */
  readonly apartPercent: number | undefined
  readonly isApart: boolean
  /** The one to put on next, and why; undefined where none is ready, or the one that is on is the best. */
  readonly next?: { readonly id: PartId; readonly why: RotationWhy }
  /** km until the chain that is on should give way: its lube is used up, or it is ahead of the least worn; 0 is now. */
  readonly swapInKm: number | undefined
}

/** A chain that can go on as it is: what is on it is not used up. */
const isReady = ({ lube, facts }: HookChain): boolean =>
  lube !== undefined && lube !== 'none' && facts?.clock.due !== true

/**
 * Whose turn it is in a set: the least worn that is ready, so that they wear evenly (methods 8); in the rain the most worn, which
 * has least to lose.
 * @param isRainAhead much of the road to come is wet
 * @returns undefined for fewer than two chains
 */
export function rotationOf(chains: readonly HookChain[], isRainAhead: boolean): Rotation | undefined {
  if (chains.length < 2) return undefined
  const known = chains.flatMap(({ percent }) => percent ?? [])
  const apartPercent = known.length < 2 ? undefined : Math.max(...known) - Math.min(...known)
  const on = chains.find(({ isOn }) => isOn)
  const ready = chains.filter((one) => !one.isOn && isReady(one))
  const byWear = [...ready].sort((a, b) => (a.percent ?? Infinity) - (b.percent ?? Infinity) || a.km - b.km)
  const choice = isRainAhead ? byWear.at(-1) : byWear[0]
  const least = byWear[0]?.percent
  const ahead = on?.percent !== undefined && least !== undefined ? on.percent - least : undefined
  // As it has lengthened so far, on average: its first kilometres count too.
  const perKm = on?.percent !== undefined && on.km > 0 ? on.percent / on.km : 0
  const untilAhead =
    ahead === undefined
      ? Infinity
      : ahead >= AHEAD_PERCENT
        ? 0
        : perKm > 0
          ? (AHEAD_PERCENT - ahead) / perKm
          : Infinity
  const untilDry = on?.facts?.leftKm ?? Infinity
  const swapInKm = Math.min(untilAhead, untilDry)
  const isBetterOn =
    isRainAhead && on !== undefined && isReady(on) && (on.percent ?? 0) >= (choice?.percent ?? 0)
  return {
    chains,
    apartPercent,
    // As it is said: to a hundredth of a percent.
    isApart: (apartPercent ?? 0) >= TOGETHER_PERCENT + 0.005,
    swapInKm: Number.isFinite(swapInKm) && ready.length > 0 ? swapInKm : undefined,
    ...(choice &&
      !isBetterOn && {
        next: { id: choice.id, why: ready.length === 1 ? 'only-ready' : isRainAhead ? 'rain' : 'least-worn' },
      }),
  }
}

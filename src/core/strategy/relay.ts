import type { RoadPiece } from '../exposure/roads.ts'
import type { PartId } from '../log/entry.ts'
import { intervalOf, type Interval } from '../stats/interval.ts'
import {
  keptChain,
  keptElongation,
  keptWearKm,
  type KeptChainDraws,
  type KeptDraws,
} from '../wear/kept-draws.ts'

/** A chain that is ahead by this gives way to the one least worn, %. Half of what a set may be apart (job.md: a tenth of a percent). */
export const AHEAD_PERCENT = 0.05

/** A set of chains that take turns, and the road that they will run on. */
export interface RelayAsk {
  readonly draws: KeptDraws
  /** The one that is on the bike. */
  readonly on: PartId
  /** Those that wait. One at least. */
  readonly waiting: readonly PartId[]
  /** Those of them that can go on as they are; all where none can. */
  readonly ready: readonly PartId[]
  /** A usual kilometre of the road ahead. */
  readonly perKm: readonly RoadPiece[]
  /** A turn ends after so many km; undefined: when a chain gets ahead of the others. */
  readonly everyKm: number | undefined
  /** km that the chain on the bike has behind it in this turn. */
  readonly turnKm: number
  /** km until what is on the chain on the bike is used up, and how long fresh lube lasts; `Infinity` where that ends no turn. */
  readonly lubeLeftKm: number
  readonly lubeLifeKm: number
  /** The bike's limit, %. */
  readonly limit: number
}

/** A chain's turn, km from now. */
export interface Turn {
  readonly chain: PartId
  readonly fromKm: number
  readonly toKm: number
}

/** How a set goes on. */
export interface RelayAhead {
  /** km until the chain on the bike is ahead of the least worn that waits by what is allowed. */
  readonly aheadInKm: Interval
  /** km until every chain of the set has reached the limit. */
  readonly setKm: Interval
  /** The turns to come as the medians have it, until one reaches the limit or as many as are drawn. */
  readonly turns: readonly Turn[]
}

/** Wear-km is looked for up to here: beyond any chain. */
const MOST_WEAR_KM = 80_000
const HALVINGS = 26

/** Wear-km at which a chain is worn so far, draw by draw, by halving: its curve only rises. @param percent by draw */
function wearKmTo(chain: KeptChainDraws, percent: Float64Array): Float64Array {
  const low = new Float64Array(percent.length)
  const high = new Float64Array(percent.length).fill(MOST_WEAR_KM)
  for (let i = 0; i < HALVINGS; i++) {
    const middle = low.map((from, n) => (from + (high[n] ?? 0)) / 2)
    keptElongation(chain, middle).forEach((worn, n) => {
      if (worn < (percent[n] ?? 0)) low[n] = middle[n] ?? 0
      else high[n] = middle[n] ?? 0
    })
  }
  return high
}

/** How far a chain still goes to some elongation, km of the road ahead, draw by draw; 0 where it is past it. */
function kmTo(chain: KeptChainDraws, percent: Float64Array, perKm: Float64Array): Float64Array {
  return wearKmTo(chain, percent).map((at, n) =>
    Math.max(0, (at - (chain.wearKm[n] ?? 0)) / Math.max(1e-6, perKm[n] ?? 1)),
  )
}

/** Points of a chain's curve to come, km apart, and how many. */
const [STEP_KM, POINTS] = [250, 25]
const MOST_TURNS = 9

/** The median elongation of a chain after so many km of the road ahead, in a straight line between points. */
function curveOf(chain: KeptChainDraws, perKm: Float64Array): (km: number) => number {
  const points = Array.from({ length: POINTS }, (_, i) => {
    const there = Float64Array.from(chain.wearKm, (gone, n) => gone + i * STEP_KM * (perKm[n] ?? 1))
    return intervalOf(keptElongation(chain, there)).p50
  })
  return (km) => {
    const at = Math.min(POINTS - 1.001, Math.max(0, km / STEP_KM))
    const i = Math.floor(at)
    return (points[i] ?? 0) + (at - i) * ((points[i + 1] ?? 0) - (points[i] ?? 0))
  }
}

/** How finely the turns to come are walked, km. */
const WALK_KM = 10

/** The turns to come by the medians. */
function turnsAhead(ask: RelayAsk, curves: ReadonlyMap<PartId, (km: number) => number>): Turn[] {
  const ridden = new Map([...curves.keys()].map((id) => [id, 0]))
  const turns: Turn[] = []
  const wornOf = (id: PartId): number => curves.get(id)?.(ridden.get(id) ?? 0) ?? 0
  // Who goes on first is ready by then; for the turns after that all have been washed.
  const least = (but: PartId): PartId | undefined =>
    (turns.length === 0 ? [...ask.ready] : [...curves.keys()])
      .filter((id) => id !== but)
      .sort((a, b) => wornOf(a) - wornOf(b))[0]
  let on = ask.on
  let [at, left, lube] = [0, (ask.everyKm ?? Infinity) - ask.turnKm, ask.lubeLeftKm]
  while (turns.length < MOST_TURNS && at < STEP_KM * (POINTS - 1)) {
    const next = least(on)
    if (next === undefined) return turns
    let km = 0
    const isOver = (): boolean =>
      km >= left ||
      (ask.everyKm === undefined && (km >= lube || wornOf(on) >= wornOf(next) + AHEAD_PERCENT)) ||
      at + km >= STEP_KM * (POINTS - 1)
    while (!isOver() && wornOf(on) < ask.limit) {
      km += WALK_KM
      ridden.set(on, (ridden.get(on) ?? 0) + WALK_KM)
    }
    if (km > 0) turns.push({ chain: on, fromKm: at, toKm: at + km })
    if (wornOf(on) >= ask.limit || wornOf(next) >= ask.limit) return turns
    at += km
    // One that is far behind the others is waxed again and stays on, where even wear decides.
    const isFarBehind = ask.everyKm === undefined && wornOf(next) > wornOf(on) + AHEAD_PERCENT
    if (!isFarBehind || ask.lubeLifeKm <= WALK_KM) on = next
    ;[left, lube] = [ask.everyKm ?? Infinity, ask.lubeLifeKm]
  }
  return turns
}

/**
 * How a set of chains goes on from what is known of each (methods 8, on the posterior of methods 4): when the one that is on gives
 * way, how far the whole set lasts, and the turns to come. Draws of the chains belong together, so that what makes all chains
 * of a rider wear faster does not count as a difference between them.
 * @throws RangeError where none waits
 */
export function relayAhead(ask: RelayAsk): RelayAhead {
  const { draws, on, waiting, ready, limit } = ask
  if (waiting.length === 0) throw new RangeError('One chain alone takes no turns.')
  const perKm = keptWearKm(draws, ask.perKm)
  const chains = new Map([on, ...waiting].map((id) => [id, keptChain(draws, id)]))
  const worn = ready.flatMap((id) => {
    const chain = chains.get(id)
    return chain ? [keptElongation(chain, chain.wearKm)] : []
  })
  const least = Float64Array.from({ length: draws.count }, (_, n) =>
    worn.reduce((low, list) => Math.min(low, list[n] ?? Infinity), Infinity),
  )
  const allowed = least.map((percent) => percent + AHEAD_PERCENT)
  const aheadIn = kmTo(chains.get(on) as KeptChainDraws, allowed, perKm)
  const limits = new Float64Array(draws.count).fill(limit)
  const set = new Float64Array(draws.count)
  for (const chain of chains.values())
    kmTo(chain, limits, perKm).forEach((km, n) => (set[n] = (set[n] ?? 0) + km))
  return {
    aheadInKm: intervalOf(aheadIn),
    setKm: intervalOf(set),
    turns: turnsAhead(ask, new Map([...chains].map(([id, chain]) => [id, curveOf(chain, perKm)]))),
  }
}

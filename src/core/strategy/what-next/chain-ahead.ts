import type { RoadStretch } from '../../exposure/road-ahead.ts'
import { placeAtWear, type DrawnWay } from '../../wear/ahead.ts'
import {
  keptElongation,
  keptLimitWearKm,
  keptWearKm,
  type KeptChainDraws,
  type KeptDraws,
} from '../../wear/kept-draws.ts'
import { FORECAST_CAP_KM } from '../../wear/rider-forecast.ts'

/** An event ahead: how worn the chain is when it begins and when it is over, draw by draw, %. */
export interface EventAhead {
  readonly event: string
  readonly begins: Float64Array
  readonly ends: Float64Array
}

/** A chain on a bike and its road, draw by draw: all that a finding can make likelier or less likely. */
export interface ChainAhead {
  /** Elongation now, %. */
  readonly worn: Float64Array
  /** Distance to the limit from now, km, and the days until then. */
  readonly toLimitKm: Float64Array
  readonly toLimitDays: Float64Array
  readonly events: readonly EventAhead[]
}

/** The road ahead as each draw wears along it, at its usual pace. */
function keptWays(draws: KeptDraws, stretches: readonly RoadStretch[]): readonly DrawnWay[] {
  const perKm = stretches.map((stretch) => keptWearKm(draws, stretch.perKm))
  const last = stretches.length - 1
  // The last stretch goes on for as long as it is asked about.
  const kms = stretches.map(({ km }, i) => (i === last ? Math.max(km, FORECAST_CAP_KM) : km))
  const added = (of: (i: number) => number): Float64Array => {
    const sums = new Float64Array(stretches.length + 1)
    stretches.forEach((_, i) => (sums[i + 1] = (sums[i] as number) + of(i)))
    return sums
  }
  const km = added((i) => kms[i] as number)
  const days = added((i) => {
    const { km: usual, days: own } = stretches[i] as RoadStretch
    return usual > 0 ? (own * (kms[i] as number)) / usual : own
  })
  return Array.from({ length: draws.count }, (_, n) => ({
    km,
    days,
    wearKm: added((i) => (kms[i] as number) * (perKm[i]?.[n] ?? 1)),
  }))
}

/**
 * A chain's future by the kept draws (methods 4): the same that its forecast is made of, some 500 of its draws, at the usual pace.
 * @param stretches riding to come, at least one; the last goes on for good
 * @param limit %
 */
export function chainAhead(
  draws: KeptDraws,
  chain: KeptChainDraws,
  stretches: readonly RoadStretch[],
  limit: number,
): ChainAhead {
  const ways = keptWays(draws, stretches)
  const found = Array.from(keptLimitWearKm(chain, limit), (at, n) =>
    placeAtWear(ways[n] as DrawnWay, Math.max(0, at - (chain.wearKm[n] ?? 0))),
  )
  const wornAfter = (place: number): Float64Array =>
    keptElongation(
      chain,
      chain.wearKm.map((gone, n) => gone + (ways[n]?.wearKm[place] ?? 0)),
    )
  return {
    worn: keptElongation(chain, chain.wearKm),
    toLimitKm: Float64Array.from(found, ({ km }) => km),
    toLimitDays: Float64Array.from(found, ({ days }) => days),
    events: stretches.flatMap(({ event }, i) =>
      event === undefined ? [] : [{ event, begins: wornAfter(i), ends: wornAfter(i + 1) }],
    ),
  }
}

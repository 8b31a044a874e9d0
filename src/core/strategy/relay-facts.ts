import { ridesDuring, totalKm } from '../exposure/distance.ts'
import { roadAhead } from '../exposure/road-ahead.ts'
import type { PartId } from '../log/entry.ts'
import { openFitting, type Garage, type PartState } from '../log/garage.ts'
import type { KeptDraws } from '../wear/kept-draws.ts'
import { closingsOf } from './fitting-checks.ts'
import { edgesOf, roadKmAt } from './mile-strip.ts'
import type { RelayAsk, Turn } from './relay.ts'
import type { BikeReport } from './facts/bike-report.ts'
import { lifePerKm } from './facts/lube.ts'
import { livesOf } from './facts/own-lives.ts'
import { isReady } from './facts/rotation.ts'
import type { WashableChain } from './facts/wash-facts.ts'

/** How long a turn is on a bike, km; undefined where its chains are kept evenly worn. */
export const turnEveryKm = (garage: Garage, bike: string): number | undefined =>
  garage.listed.rotation.get(bike)?.at(-1)?.everyKm

/** km that the chain on a bike has behind it since it was last put on. */
export function turnKmOf({ bike, chain }: BikeReport): number {
  const from = chain && openFitting(chain.part)?.from
  return from === undefined ? 0 : totalKm(ridesDuring(bike.rides, from))
}

/** A set of chains as it is asked about; undefined where none is on the bike, or none waits. */
export function relayAsk(
  garage: Garage,
  report: BikeReport,
  chains: readonly WashableChain[],
  draws: KeptDraws,
): RelayAsk | undefined {
  const { bike, chain, plan, now, limit } = report
  const waiting = chains.filter(({ isOn }) => !isOn)
  if (!chain || waiting.length === 0) return undefined
  const ready = waiting.filter(isReady)
  const usual = roadAhead(bike, chain.story, plan, now).find(({ event }) => event === undefined)
  const lube = chain.lube
  const isLubed = lube !== undefined && lube.lube !== 'none'
  return {
    draws,
    on: chain.part.entry.part,
    waiting: waiting.map(({ id }) => id),
    ready: (ready.length > 0 ? ready : waiting).map(({ id }) => id),
    perKm: usual?.perKm ?? [{ km: 1, condition: 'dry-road' }],
    everyKm: turnEveryKm(garage, bike.entry.bike),
    turnKm: turnKmOf(report),
    lubeLeftKm: isLubed ? lube.leftKm : Infinity,
    lubeLifeKm: isLubed ? 1 / lifePerKm(bike, lube.lube, now, livesOf(garage)) : Infinity,
    limit: limit.percent,
  }
}

/** The turns that chains had on a bike so far, km along its road, in order. */
export function turnsSoFar({ bike }: BikeReport, parts: readonly PartState[]): readonly Turn[] {
  const { rides } = bike
  const edges = edgesOf(rides)
  const kmAt = (at: string): number => roadKmAt({ rides, edges }, at)
  return parts
    .flatMap((part) =>
      part.fittings
        .filter((fitting) => fitting.bike === bike.entry.bike)
        .map(({ from, to }) => ({
          chain: part.entry.part,
          fromKm: kmAt(from),
          toKm: to === undefined ? (edges.at(-1) ?? 0) : kmAt(to),
        })),
    )
    .filter(({ fromKm, toKm }) => toKm > fromKm)
    .sort((a, b) => a.fromKm - b.fromKm)
}

/** The joining link that closes a chain, or closed it when it was last on. */
export interface ChainLink {
  readonly part: PartId
  readonly closings: number
  readonly allowed: number
  /** It went on with another chain. */
  readonly isElsewhere: boolean
}

/** The joining link of a chain; undefined where the log has none. */
export function linkOfChain(garage: Garage, chain: PartId): ChainLink | undefined {
  const fitting = garage.parts.get(chain)?.fittings.at(-1)
  if (!fitting) return undefined
  const { bike, from, to } = fitting
  const links = [...garage.parts.values()].filter(({ entry, fittings, retired }) => {
    if (entry.spec.type !== 'joining-link' || retired) return false
    return fittings.some(
      (one) =>
        one.bike === bike &&
        // A link that is closed again at a swap is taken off and fitted at the same moment.
        (to === undefined ? one.to === undefined : one.from < to && (one.to ?? '~') >= to) &&
        (one.to ?? '~') > from,
    )
  })
  const link = links[0]
  if (link?.entry.spec.type !== 'joining-link') return undefined
  const open = openFitting(link)
  return {
    part: link.entry.part,
    closings: closingsOf(link),
    allowed: link.entry.spec.closingsAllowed,
    isElsewhere: to !== undefined && open !== undefined,
  }
}

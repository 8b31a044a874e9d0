import { bikeHas } from '../../checks/bike-has.ts'
import { isWet } from '../../exposure/conditions.ts'
import { ridesDuring, totalKm } from '../../exposure/distance.ts'
import type { FaultFacts } from '../../faults/base-rates.ts'
import type { Need } from '../../faults/network.ts'
import { SHIFT_CAUSES, type ShiftCause } from '../../faults/causes.ts'
import type { BikeId, IsoTime } from '../../log/entry.ts'
import { fittedLink, fittedParts, openFitting, type Garage, type PartState } from '../../log/garage.ts'
import type { BikeEntry } from '../../log/kinds/bike.ts'
import { limitKey } from '../../measure/posterior.ts'
import { normalCdf } from '../../stats/normal.ts'
import type { TeethOutlook } from '../../teeth/teeth-outlook.ts'
import { daysBetween } from '../../units/days.ts'
import type { WearAnswer } from '../../wear/outlook.ts'
import { closingsOf } from '../fitting-checks.ts'
import type { BikeReport } from './bike-report.ts'
import { faultsOf } from './faults-found.ts'
import { cogRisks } from './teeth-facts.ts'

/** A fall or another wheel is thought of for so long, days. Ours. */
const MISHAP_DAYS = 60
/** A chain under this is hardly worn, %. */
const FRESH_PERCENT = 0.25
/** From the middle to the 95th percentile of a normal distribution, in standard deviations. */
const SD_TO_P95 = 1.645

/** The cogs that slipped on the road since the chain that is on was fitted. */
function slippedOn(garage: Garage, { sprockets, chain }: BikeReport): FaultFacts['slippedOn'] {
  const ofBike = sprockets.filter(({ role }) => role === 'cog')
  const cogs = ofBike.flatMap(({ part, teeth }) => {
    const last = garage.listed['cog-test']
      .get(part.entry.part)
      ?.findLast(
        ({ cog, by, at }) => cog === teeth && by === 'ride' && chain !== undefined && at >= chain.fittedAt,
      )
    return last?.result === 'slipped' ? teeth : []
  })
  return cogs.length > 0 ? { cogs, of: ofBike.map(({ teeth }) => teeth) } : undefined
}

/** What a bike has, as far as faults go. */
export function needsOf(garage: Garage, entry: BikeEntry): ReadonlySet<Need> {
  const { derailleur, cable, electric, rim } = bikeHas(entry)
  return new Set<Need>([
    ...(derailleur ? (['derailleur'] as const) : []),
    ...(cable ? (['cable'] as const) : []),
    ...(derailleur && electric ? (['electric'] as const) : []),
    ...(fittedParts(garage, entry.bike, 'ring').length > 1 ? (['two-rings'] as const) : []),
    ...(rim ? [] : (['disc'] as const)),
  ])
}

/** Distance since a part went on a bike that was ridden before; undefined where it may have come with the bike. */
function kmSinceFitted(garage: Garage, bike: BikeId, part: PartState | undefined): number | undefined {
  const from = part && openFitting(part)?.from
  const rides = garage.bikes.get(bike)?.rides ?? []
  if (part === undefined || from === undefined || !rides.some(({ at }) => at < from)) return undefined
  const before = part.fittings.slice(0, -1).length > 0
  return before ? Infinity : totalKm(ridesDuring(rides, from))
}

/** The chance that the chain is past its limit, and that it is hardly worn. */
function chainWear({ limit, chain }: BikeReport, answer: WearAnswer | undefined) {
  if (!answer || chain?.lastReadingAt === undefined) return {}
  const { mean, p95, pAbove } = answer.now
  const sd = Math.max(0.01, (p95 - mean) / SD_TO_P95)
  return {
    chainPast: pAbove[limitKey(limit.percent)] ?? 0,
    chainFresh: normalCdf((FRESH_PERCENT - mean) / sd),
  }
}

const isShiftCause = (cause: string): cause is ShiftCause =>
  (SHIFT_CAUSES as readonly string[]).includes(cause)

const isRecent = (at: IsoTime, now: IsoTime): boolean => at <= now && daysBetween(at, now) <= MISHAP_DAYS

/**
 * What a bike's log says that bears on a fault.
 * @param answer the wear model's on the chain; absent while it is being worked out
 * @param teeth absent while that is being worked out
 */
export function faultFacts(
  garage: Garage,
  report: BikeReport,
  answer: WearAnswer | undefined,
  teeth: TeethOutlook | undefined,
): FaultFacts {
  const { bike, now, chain } = report
  const { entry } = bike
  const risks =
    teeth &&
    cogRisks(report, teeth).flatMap(({ teeth: cog, now: p }) => (p === undefined ? [] : { teeth: cog, p }))
  const slipped = slippedOn(garage, report)
  const isNewChain = chain?.spec.past === 'new'
  const kmOnChain = isNewChain ? kmSinceFitted(garage, entry.bike, chain?.part) : undefined
  const kmOnCassette = kmSinceFitted(garage, entry.bike, fittedParts(garage, entry.bike, 'cassette')[0])
  const { lube, story } = chain ?? {}
  const link = fittedLink(garage, entry.bike)
  const mishaps = (garage.listed.mishap.get(entry.bike) ?? []).filter(({ at }) => isRecent(at, now))
  const found = (isHere: boolean): readonly ShiftCause[] =>
    faultsOf(garage)
      .filter(({ bike: of }) => (of === entry.bike) === isHere)
      .filter(({ afterwards }) => afterwards !== 'still-there')
      .flatMap((fault) => fault.found.filter(isShiftCause))
  return {
    has: needsOf(garage, entry),
    ...chainWear(report, answer),
    ...(risks && risks.length > 0 && { cogRisks: risks }),
    ...(slipped && { slippedOn: slipped }),
    ...(kmOnChain !== undefined && { kmOnChain }),
    ...(kmOnCassette !== undefined && { kmOnCassette }),
    ...(lube && { lubeUsed: lube.clock.due ? Math.max(1, lube.clock.used) : lube.clock.used }),
    ...(lube &&
      story && {
        wetRidesSinceLube: story.rides.filter(({ at, ride }) => at >= lube.since && isWet(ride.condition))
          .length,
      }),
    ...(link?.entry.spec.type === 'joining-link' && {
      isLinkOverused: closingsOf(link) > link.entry.spec.closingsAllowed,
    }),
    ...(chain && { hasStiffLink: chain.badLinks.some(({ fault }) => fault === 'stiff-link') }),
    hadCrash: mishaps.some(({ what }) => what === 'crash'),
    hadWheelChange: mishaps.some(({ what }) => what === 'wheel-change'),
    isMismatched: chain !== undefined && entry.speeds > 1 && chain.spec.speeds !== entry.speeds,
    foundHere: found(true),
    foundElsewhere: found(false),
  }
}

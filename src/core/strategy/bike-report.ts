import { chainStory, type ChainStory, type Gathered } from '../exposure/chain-story.ts'
import { ridesDuring, totalKm } from '../exposure/distance.ts'
import { ridingPlan, type RidingPlan } from '../exposure/riding-plan.ts'
import type { BikeId, IsoTime, ToolId } from '../log/entry.ts'
import type { LookEntry } from '../log/kinds/look.ts'
import {
  fittedChain,
  fittedParts,
  openFitting,
  type BikeState,
  type Garage,
  type PartState,
  type ReadingState,
} from '../log/garage.ts'
import { lubeClock, type LubeClock } from '../lube/clock.ts'
import type { Limit } from '../measure/limits.ts'
import type { PlacedReading } from '../measure/disagreement.ts'
import { usualCandidates, type Candidate } from '../measure/next-reading.ts'
import type { LearnedBias } from '../measure/tool-bias.ts'
import { addDays, daysBetween } from '../units/days.ts'
import type { WearDistance } from '../wear/rate-grid.ts'
import type { NextLookQuestion } from '../wear/next-look-value.ts'
import { bikeLimit } from './bike-limit.ts'
import { looksOf, placedReading, toolBiases } from './chain-evidence.ts'

/** A chain on a bike, with everything the log says of it. */
export interface ChainReport {
  readonly part: PartState
  readonly fittedAt: IsoTime
  readonly story: ChainStory
  readonly readings: readonly ReadingState[]
  /** Distance since the last reading that counts, km; absent without one. */
  readonly kmSinceReading?: number
  readonly lastReadingAt?: IsoTime
  /** Absent where nobody has said what is on the chain. */
  readonly clock?: LubeClock
  /** The readings of the last look that count. */
  readonly look: readonly PlacedReading[]
  /** What is known of each tool's bias, from elsewhere than this chain. */
  readonly biases: ReadonlyMap<ToolId, LearnedBias>
  /** What another reading would tell you. */
  readonly nextLook: NextLookQuestion
}

/** One cog, ring or pulley of the bike and the last look at it. */
export interface Sprocket {
  readonly part: PartState
  readonly role: 'cog' | 'ring' | 'guide pulley' | 'tension pulley'
  readonly teeth: number
  readonly look?: LookEntry
}

/** What the log says of one bike, short of the statistics. */
export interface BikeReport {
  readonly bike: BikeState
  readonly totalKm: number
  readonly lastFourWeeksKm: number
  readonly limit: Limit
  readonly plan: RidingPlan
  readonly sprockets: readonly Sprocket[]
  readonly chain?: ChainReport
}

const isCounted = (state: ReadingState): boolean => state.used

function latestLook(garage: Garage, part: PartState, cog?: number): LookEntry | undefined {
  return (garage.looks.get(part.entry.part) ?? []).filter((look) => look.cog === cog).at(-1)
}

/** Cogs from the smallest, then rings from the smallest, then the guide and the tension pulley. */
export function sprocketsOf(garage: Garage, bike: BikeId): Sprocket[] {
  const order = ['cog', 'ring', 'guide pulley', 'tension pulley']
  const found = fittedParts(garage, bike).flatMap((part): Sprocket[] => {
    const { spec } = part.entry
    const one = (role: Sprocket['role'], teeth: number, cog?: number): Sprocket => {
      const look = latestLook(garage, part, cog)
      return { part, role, teeth, ...(look && { look }) }
    }
    switch (spec.type) {
      case 'cassette':
        return spec.teeth.map((teeth) => one('cog', teeth, teeth))
      case 'ring':
        return [one('ring', spec.teeth)]
      case 'pulley':
        return [one(`${spec.position} pulley`, spec.teeth)]
      case 'chain':
      case 'joining-link':
        return []
    }
  })
  return found.sort((a, b) => order.indexOf(a.role) - order.indexOf(b.role) || a.teeth - b.teeth)
}

/** What could be read next: one's own tools in use, and one of every instrument in general. */
function candidatesFor(garage: Garage, limit: number, biases: ReadonlyMap<ToolId, LearnedBias>): Candidate[] {
  const usual = usualCandidates(limit)
  const own = [...garage.tools.values()].flatMap(({ entry }): Candidate[] => {
    const like = usual.find(({ instrument }) => instrument === entry.instrument)
    const known = biases.get(entry.tool)
    return like && known && !entry.retired
      ? [{ ...like, tool: entry.tool, bias: { b: known.b, sb: known.sb } }]
      : []
  })
  return [...own, ...usual]
}

/** Wear-distance as a question holds it: plain numbers, and nothing where there is nothing. */
const wearDistance = ({ wearKm, unsureWearKm }: Gathered): WearDistance => ({
  wearKm,
  ...(unsureWearKm > 0 && { unsureWearKm }),
})

function nextLookFor(
  garage: Garage,
  part: PartState,
  story: ChainStory,
  look: readonly PlacedReading[],
  limit: Limit,
  biases: ReadonlyMap<ToolId, LearnedBias>,
): NextLookQuestion {
  const { spec } = part.entry
  const observations = (garage.readings.get(part.entry.part) ?? []).filter(isCounted).map((state) => {
    const { place: _place, ...taken } = placedReading(state, biases)
    return { ...wearDistance(story.at(state.entry.at)), ...taken }
  })
  return {
    past: spec.type === 'chain' ? spec.past : 'unknown',
    earlier: observations.slice(0, observations.length - look.length),
    look,
    now: wearDistance(story),
    limit: limit.percent,
    candidates: candidatesFor(garage, limit.percent, biases),
  }
}

interface OnBike {
  readonly part: PartState
  readonly fittedAt: IsoTime
  readonly story: ChainStory
}

function chainOn(garage: Garage, bike: BikeId): OnBike | undefined {
  const part = fittedChain(garage, bike)
  const fitting = part && openFitting(part)
  return part && fitting && { part, fittedAt: fitting.from, story: chainStory(garage, part.entry.part) }
}

function chainReport(
  garage: Garage,
  bike: BikeState,
  { part, fittedAt, story }: OnBike,
  limit: Limit,
  now: IsoTime,
): ChainReport {
  const readings = garage.readings.get(part.entry.part) ?? []
  const last = readings.findLast(isCounted)?.entry
  const { lube, since } = story.lube
  const lastRide = story.rides.at(-1)?.at
  const restingSince = [since, lastRide]
    .filter((at) => at !== undefined)
    .sort()
    .at(-1)
  const clock =
    lube === undefined || since === undefined
      ? undefined
      : lubeClock(
          lube,
          story.rides.filter((ridden) => ridden.at >= since).map((ridden) => ridden.ride),
          {
            days: Math.max(0, restingSince === undefined ? 0 : daysBetween(restingSince, now)),
            where: bike.entry.storage,
          },
        )
  const biases = toolBiases(garage, new Set([part.entry.part]))
  const look = (looksOf(readings).at(-1) ?? []).map((state) => placedReading(state, biases))
  return {
    part,
    fittedAt,
    story,
    readings,
    biases,
    look,
    nextLook: nextLookFor(garage, part, story, look, limit, biases),
    ...(last && { kmSinceReading: story.km - story.at(last.at).km, lastReadingAt: last.at }),
    ...(clock && { clock }),
  }
}

/** A chain that is or was on a bike. */
export interface RoadChain {
  readonly part: PartState
  readonly story: ChainStory
}

/** Every chain that was ever on a bike, in the order of its first fitting there, the one now on it included. */
export function chainsOfRoad(garage: Garage, report: BikeReport): readonly RoadChain[] {
  const { bike } = report.bike.entry
  const firstOn = (part: PartState): IsoTime =>
    part.fittings.find((fitting) => fitting.bike === bike)?.from ?? '~'
  return [...garage.parts.values()]
    .filter((part) => part.entry.spec.type === 'chain' && part.fittings.some((one) => one.bike === bike))
    .sort((a, b) => (firstOn(a) < firstOn(b) ? -1 : 1))
    .map((part) =>
      part === report.chain?.part ? report.chain : { part, story: chainStory(garage, part.entry.part) },
    )
}

/**
 * Everything the log says of a bike now: distances, limit, sprockets with their last looks, its chain with
 * distance, readings and lubrication clock.
 */
export function bikeReport(garage: Garage, bike: BikeState, now: IsoTime): BikeReport {
  const { entry, rides } = bike
  const limit = bikeLimit(garage, bike)
  const on = chainOn(garage, entry.bike)
  const plan = ridingPlan(rides, now, bike.plan?.weeklyKm)
  const chain = on && chainReport(garage, bike, on, limit, now)
  return {
    bike,
    totalKm: totalKm(rides),
    lastFourWeeksKm: totalKm(ridesDuring(rides, addDays(now, -28))),
    limit,
    plan,
    sprockets: sprocketsOf(garage, entry.bike),
    ...(chain && { chain }),
  }
}

import { toEnd } from '../job.ts'
import { drawnMarks, roadsAt, type ChainStory } from '../exposure/chain-story.ts'
import { QUARTERS, quarterOf } from '../exposure/conditions.ts'
import { ridingPlan } from '../exposure/riding-plan.ts'
import { roadAhead } from '../exposure/road-ahead.ts'
import { gathered } from '../exposure/roads.ts'
import type { BikeId, IsoTime, PartId, ToolId } from '../log/entry.ts'
import { openFitting, type BikeState, type Garage } from '../log/garage.ts'
import type { LearnedBias } from '../measure/tool-bias.ts'
import type { AheadQuestion } from '../wear/ahead.ts'
import type { AskedChain, LookPlace } from '../wear/asked-chain.ts'
import type { SeasonRoad } from '../wear/rates.ts'
import type { RiderAsk } from '../wear/rider-outlook.ts'
import { bikeLimit } from './facts/bike-limit.ts'
import { takenReading, toolBiases } from './facts/chain-evidence.ts'
import { chainFactsSteps, type ChainFacts } from './facts/chain-facts.ts'

/** The chains of one rider, and everything that is asked of them. */
export interface RiderGroup {
  /** The same for the same bikes. */
  readonly id: string
  readonly bikes: readonly BikeId[]
  readonly chains: readonly PartId[]
  readonly ask: RiderAsk
  /** Why nothing can be asked about these chains. */
  readonly fault?: string
}

/**
 * With more bikes than this they are not one rider's: each bike's chains are then taken by themselves, those of bikes
 * that share a chain together.
 */
const MOST_OF_ONE_RIDER = 24
/**
 * Of a workshop's bike so many chains are asked about, those in use and the newest others: what was retired long ago tells
 * little of how the bike is ridden today, and two hundred bikes are to be worked out while one waits.
 */
const MOST_OF_A_BIKE = 5
const SEED = 1807

/** Bikes that belong together: all, or those that have shared a chain. */
function ridersOf(garage: Garage, chains: readonly ChainFacts[]): BikeId[][] {
  const bikes = [...garage.bikes.keys()]
  if (bikes.length <= MOST_OF_ONE_RIDER) return bikes.length > 0 ? [bikes] : []
  const groups = new Map(bikes.map((bike) => [bike, new Set([bike])]))
  for (const { part } of chains) {
    const joined = new Set(part.fittings.flatMap(({ bike }) => [...(groups.get(bike) ?? [])]))
    for (const bike of joined) groups.set(bike, joined)
  }
  return [...new Set(groups.values())].map((group) => [...group])
}

const idOf = (bikes: readonly BikeId[], garage: Garage): string =>
  bikes.length === garage.bikes.size ? 'all' : [...bikes].sort().join(' ')

/** A moment of the day, so that the same day asks the same. */
export const askedAt = (now: IsoTime): IsoTime => `${now.slice(0, 10)}T12:00:00.000Z`

function aheadOf(bike: BikeState, story: ChainStory, now: IsoTime): AheadQuestion {
  const plan = ridingPlan(bike.rides, now, bike.plan?.weeklyKm)
  return {
    stretches: roadAhead(bike, story, plan, now),
    paceLogSd: Math.sqrt(Math.log(1 + plan.weeklySpread ** 2)),
    idle: plan.weeklyKm <= 0,
  }
}

/** So many looks back at most are asked about: what was odd and went unanswered for longer has been lived with. */
const MOST_EXAMINED = 6

/** The looks since the last answer, the last first. */
function examinedOf(looks: ChainFacts['looks'], answeredUntil: IsoTime = ''): LookPlace[] {
  let first = 0
  const places = looks.map((look) => {
    const place = { first, size: look.length }
    first += look.length
    return { place, isOpen: (look.at(-1)?.entry.at ?? '') > answeredUntil }
  })
  return places
    .flatMap(({ place, isOpen }) => (isOpen ? [place] : []))
    .slice(-MOST_EXAMINED)
    .reverse()
}

/** A chain that was never measured and is on no bike has nothing to tell and nothing to be asked. */
function askedChain(
  garage: Garage,
  { part, spec, story, used, looks, answeredUntil, sure }: ChainFacts,
  biases: ReadonlyMap<ToolId, LearnedBias>,
  now: IsoTime,
): AskedChain | undefined {
  const { part: id } = part.entry
  const last = part.fittings.at(-1)
  const bike = garage.bikes.get(last?.bike ?? '')
  if (!bike) return undefined
  const marks = drawnMarks(story, part.fittings)
  const roads = roadsAt(story, [...used.map(({ entry }) => entry.at), ...marks.map(({ at }) => at)])
  const whole = gathered(story.rides.map(({ piece }) => piece))
  const isOn = openFitting(part) !== undefined
  return {
    id,
    past: spec.past,
    readings: used.map((state, i) => ({
      ...takenReading(state, biases),
      ...(sure.has(state.entry.id) && { isSure: true as const }),
      road: roads[i] ?? [],
    })),
    lookSize: looks.at(-1)?.length ?? 0,
    examined: examinedOf(looks, answeredUntil),
    links: spec.links,
    now: whole,
    limit: bikeLimit(garage, bike).percent,
    drawAt: marks.map(({ wearKm }, i) => ({
      wearKm,
      // The last mark of a chain that is on stands after its last ride, not before it.
      road: isOn && i === marks.length - 1 ? whole : (roads[used.length + i] ?? []),
    })),
    ...(part.retired && { retired: true }),
    ...(isOn && { ahead: aheadOf(bike, story, now) }),
  }
}

/** The rider's roads by part of the year: every ride on a chain in the log, as the chain felt it. */
function seasonsOf(stories: readonly ChainStory[]): SeasonRoad[] {
  return QUARTERS.flatMap((quarter): SeasonRoad[] => {
    const rides = stories.flatMap((story) => story.rides.filter(({ at }) => quarterOf(at) === quarter))
    const km = rides.reduce((sum, { ride }) => sum + ride.km, 0)
    if (km <= 0) return []
    const perKm = gathered(rides.map(({ piece }) => piece)).map((piece) => ({ ...piece, km: piece.km / km }))
    return [{ quarter, km, perKm }]
  })
}

/** The chains that were fitted last, those in use among them, in the order in which they were passed. */
function newestOf(chains: readonly ChainFacts[], most: number): readonly ChainFacts[] {
  if (chains.length <= most) return chains
  const lastOf = ({ part }: ChainFacts): string =>
    openFitting(part) ? '9999' : (part.fittings.at(-1)?.from ?? '')
  const kept = new Set([...chains].sort((a, b) => (lastOf(a) < lastOf(b) ? 1 : -1)).slice(0, most))
  return chains.filter((facts) => kept.has(facts))
}

/** Whether nothing that a rider's question is made of differs between two garages, but for the rides of other bikes. */
function isSameBut(garage: Garage, before: Garage, bikes: readonly BikeId[]): boolean {
  return (
    garage.parts === before.parts &&
    garage.readings === before.readings &&
    garage.washes === before.washes &&
    garage.listed['look-answer'] === before.listed['look-answer'] &&
    garage.tools === before.tools &&
    bikes.every((bike) => garage.bikes.get(bike) === before.bikes.get(bike))
  )
}

/** What was asked before, and of which garage: where nothing of it changed it is asked again as it was. */
export interface AskedBefore {
  readonly garage: Garage
  readonly now: IsoTime
  readonly groups: readonly RiderGroup[]
}

/** What is asked of the wear model, in one go: see {@link riderGroupSteps}. */
export const riderGroups = (garage: Garage, now: IsoTime): readonly RiderGroup[] =>
  toEnd(riderGroupSteps(garage, now))

/** Chains by the bike that they ran on last, in the order in which they were passed. */
function byLastBike(chains: readonly ChainFacts[]): ReadonlyMap<BikeId, readonly ChainFacts[]> {
  const under = new Map<BikeId, ChainFacts[]>()
  for (const facts of chains) {
    const bike = facts.part.fittings.at(-1)?.bike ?? ''
    under.set(bike, [...(under.get(bike) ?? []), facts])
  }
  return under
}

/**
 * What is asked of the wear model, rider by rider, a step of some milliseconds each. The same log asks the same all day.
 * @param now any moment of the day
 */
export function* riderGroupSteps(
  garage: Garage,
  now: IsoTime,
  before?: AskedBefore,
): Generator<void, readonly RiderGroup[], undefined> {
  const day = askedAt(now)
  const all = yield* chainFactsSteps(garage)
  const chains = all.filter(({ part }) => part.fittings.length > 0)
  const isOneOfMany = garage.bikes.size > MOST_OF_ONE_RIDER
  const underBikes = byLastBike(chains)
  const lastOn = (bikes: readonly BikeId[]): readonly ChainFacts[] => {
    const [only, ...more] = bikes
    if (only !== undefined && more.length === 0) return underBikes.get(only) ?? []
    const some = new Set(bikes)
    return chains.filter(({ part }) => some.has(part.fittings.at(-1)?.bike ?? ''))
  }
  const groupOf = (bikes: readonly BikeId[]): RiderGroup => {
    const own = isOneOfMany ? newestOf(lastOn(bikes), MOST_OF_A_BIKE * bikes.length) : lastOn(bikes)
    // Its chains speak of their tools themselves; what other riders' chains and new ones say is known before.
    const biases = toolBiases(garage, new Set(own.map(({ part }) => part.entry.part)))
    const asked = own.flatMap((facts) => askedChain(garage, facts, biases, day) ?? [])
    return {
      id: idOf(bikes, garage),
      bikes,
      chains: asked.map(({ id }) => id),
      ask: {
        chains: asked,
        seasons: seasonsOf(own.map(({ story }) => story)),
        seed: SEED,
        ...(isOneOfMany && { isOneOfMany }),
      },
    }
  }
  /** One odd bike must not cost the others their forecasts: where a rider cannot be asked about, each bike is alone. */
  const guarded = (bikes: readonly BikeId[]): RiderGroup[] => {
    try {
      return [groupOf(bikes)]
    } catch (error) {
      const [only, ...more] = bikes
      if (only !== undefined && more.length > 0) return bikes.flatMap((bike) => guarded([bike]))
      const own = lastOn(bikes)
      return [
        {
          id: only ?? '',
          bikes,
          chains: own.map(({ part }) => part.entry.part),
          ask: { chains: [], seasons: [], seed: SEED },
          fault: error instanceof Error ? error.message : String(error),
        },
      ]
    }
  }
  const known = new Map(before?.now === now ? before.groups.map((group) => [group.id, group]) : [])
  const groups: RiderGroup[] = []
  for (const bikes of ridersOf(garage, chains)) {
    const same = known.get(idOf(bikes, garage))
    if (same && before && isSameBut(garage, before.garage, bikes)) groups.push(same)
    else groups.push(...guarded(bikes))
    yield
  }
  return groups
}

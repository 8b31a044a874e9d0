import { usualAt } from '../exposure/conditions.ts'
import { withSpreadRides } from '../exposure/odometer.ts'
import { toEnd } from '../job.ts'
import type { Entry } from './entries.ts'
import type { BikeId, EntryId, PartId } from './entry.ts'
import type { BikeState, Garage, PartState, ReadingState, Ride } from './garage.ts'
import {
  aboutOf,
  besideRides,
  byKind,
  kindOf,
  lastWords,
  listed,
  underKeys,
  type ByKind,
  type Listed,
} from './kind-of.ts'
import type { BikeEntry } from './kinds/bike.ts'
import type { ConditionEntry } from './kinds/condition.ts'
import type { EventEntry } from './kinds/event.ts'
import type { FitEntry } from './kinds/fit.ts'
import type { RemoveEntry } from './kinds/remove.ts'
import type { RideEntry } from './kinds/ride.ts'
import { mount } from './mount.ts'
import { inTimeOrder } from './time-order.ts'
import { lineage, liveEntries } from './supersede.ts'

/** Live entries, sorted by kind and, within a kind, by time. */
interface Sorted {
  /** Rides stand here in the order of arrival; bike by bike they are listed in order of time. */
  readonly lists: ByKind
  readonly listed: Listed
  /** Which entry stands for an id today. */
  readonly current: (id: EntryId) => EntryId
}

const isRide = (entry: Entry): entry is RideEntry => entry.kind === 'ride'

/** Sorts entries, with a rest after each bike's rides: a workshop's take a while. */
function* sortedSteps(
  entries: readonly Entry[],
  current: Sorted['current'],
): Generator<void, Sorted, undefined> {
  const ride = entries.filter(isRide)
  const lists = byKind(inTimeOrder(entries.filter((entry) => !isRide(entry))))
  yield
  // Bike by bike most rides come in as they were ridden: to sort them all together would take far longer.
  const rides = new Map<string, readonly RideEntry[]>()
  for (const [bike, own] of underKeys(ride)) {
    rides.set(bike, inTimeOrder(own))
    yield
  }
  return { lists: { ...lists, ride }, listed: { ...listed(lists), ride: rides }, current }
}

/**
 * The last word on each ride's condition. A word from before a ride was corrected does not outlive the correction, which
 * says its condition itself.
 */
function saidConditions({ lists, current }: Sorted): ReadonlyMap<EntryId, ConditionEntry> {
  const words = [...lastWords(lists.condition, current)]
  return new Map(words.filter(([ride, word]) => word.id > ride))
}

/** A ride with the condition that counts: said since, said with it, or assumed. */
export function countedRide(ride: RideEntry, bike: BikeEntry, said?: ConditionEntry): Ride {
  const condition = said?.condition ?? ride.condition
  if (condition === undefined) return { ...ride, condition: usualAt(bike, ride.at), unsure: true }
  return ride.condition === condition ? (ride as Ride) : { ...ride, condition }
}

const byStart = (a: EventEntry, b: EventEntry): number => (a.starts < b.starts ? -1 : 1)

/** What is said of a bike beside its rides: the last word on its limit and plan, and what is planned with it. */
function withPlans(
  bike: Pick<BikeState, 'entry' | 'rides' | 'odometer'>,
  { lists, listed }: Sorted,
): BikeState {
  const { bike: id } = bike.entry
  const limit = listed.limit.get(id)?.at(-1)
  const plan = listed.plan.get(id)?.at(-1)
  return {
    entry: bike.entry,
    rides: bike.rides,
    odometer: bike.odometer,
    ...(limit && { limit }),
    ...(plan && { plan }),
    events: lists.event.filter((event) => event.bike === id).sort(byStart),
  }
}

/** Every bike with its rides, with a rest after each. */
function* bikeSteps(sorted: Sorted): Generator<void, Map<BikeId, BikeState>, undefined> {
  const said = saidConditions(sorted)
  const bikes = new Map<BikeId, BikeState>()
  for (const entry of sorted.lists.bike) {
    const odometer = sorted.listed.odometer.get(entry.bike) ?? []
    const counted = withSpreadRides(sorted.listed.ride.get(entry.bike) ?? [], odometer)
    const ridden = counted.map((ride) => countedRide(ride, entry, said.get(ride.id)))
    bikes.set(entry.bike, withPlans({ entry, odometer, rides: ridden }, sorted))
    yield
  }
  return bikes
}

/** Fittings and takings off together, in order of time. */
const movesOf = ({ lists }: Sorted): (FitEntry | RemoveEntry)[] =>
  inTimeOrder([...lists.fit, ...lists.remove])

/** The garage of sorted entries whose bikes are known. */
function assemble(sorted: Sorted, bikes: ReadonlyMap<BikeId, BikeState>): Garage {
  const { lists, listed, current } = sorted
  const partEntries = new Map(lists.part.map((part) => [part.part, part]))
  const { fittings, retired, lent } = mount(movesOf(sorted), partEntries)
  const parts = new Map<PartId, PartState>()
  for (const [id, entry] of partEntries) {
    const lentTo = lent.get(id)
    parts.set(id, {
      entry,
      fittings: fittings.get(id) ?? [],
      retired: retired.has(id),
      ...(lentTo !== undefined && { lentTo }),
    })
  }
  const use = lastWords(lists['reading-use'], current)
  const readings = new Map<PartId, readonly ReadingState[]>()
  for (const [chain, entries] of listed.reading)
    readings.set(
      chain,
      entries.map((entry) => ({ entry, used: use.get(entry.id)?.counts ?? true })),
    )
  return {
    bikes,
    parts,
    tools: new Map(
      lists.tool.map((entry) => [entry.tool, { entry, zeroings: listed.zeroing.get(entry.tool) ?? [] }]),
    ),
    readings,
    looks: listed.look,
    washes: listed.wash,
    listed: besideRides(listed),
  }
}

/** A garage, and what it takes to carry it on when the log grows. */
export interface Replayed {
  readonly garage: Garage
  /** What counts, but for rides and what is said of them. */
  readonly rest: readonly Entry[]
  readonly current: (id: EntryId) => EntryId
}

/**
 * {@link replayed} in steps of a few milliseconds each, so that a page may be drawn between two while a workshop's years
 * of entries are gone through.
 */
export function* replaySteps(entries: readonly Entry[]): Generator<void, Replayed, undefined> {
  const live = liveEntries(entries)
  yield
  const current = lineage(entries)
  yield
  const sorted = yield* sortedSteps(live, current)
  const bikes = yield* bikeSteps(sorted)
  const garage = assemble(sorted, bikes)
  yield
  return { garage, rest: live.filter((entry) => !kindOf(entry).changesRides), current }
}

/** {@link replay}, with what it takes to carry it on. */
export const replayed = (entries: readonly Entry[]): Replayed => toEnd(replaySteps(entries))

/**
 * The garage when entries have come that correct nothing, withdraw nothing and change no ride: what was ridden stays as it
 * is.
 */
export function replayedWithMore({ garage, rest, current }: Replayed, more: readonly Entry[]): Replayed {
  const all = [...rest, ...more]
  const sorted = toEnd(sortedSteps(all, current))
  const bikes = new Map(garage.bikes)
  for (const id of new Set(more.flatMap(aboutOf))) {
    const bike = bikes.get(id)
    if (bike) bikes.set(id, withPlans(bike, sorted))
  }
  return { garage: assemble(sorted, bikes), rest: all, current }
}

/**
 * The garage that a log describes. Depends on the set of entries alone, not on the order in which they arrive;
 * superseded and withdrawn entries leave no trace. Entries about a bike or part that the log does not hold are
 * kept aside without harm: they take effect when the missing entry arrives.
 */
export const replay = (entries: readonly Entry[]): Garage => replayed(entries).garage

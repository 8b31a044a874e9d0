import type {
  BikeEntry,
  BikeId,
  ConditionEntry,
  Entry,
  EntryId,
  EventEntry,
  FitEntry,
  LimitEntry,
  LookEntry,
  OdometerEntry,
  PartEntry,
  PartId,
  PlanEntry,
  ReadingEntry,
  ReadingUseEntry,
  RemoveEntry,
  RideEntry,
  ToolEntry,
  WashEntry,
  ZeroingEntry,
} from './entries.ts'
import { usualAt } from '../exposure/conditions.ts'
import { withSpreadRides } from '../exposure/odometer.ts'
import type { BikeState, Fitting, Garage, PartState, ReadingState, Ride } from './garage.ts'
import { mount } from './mount.ts'
import { lineage, liveEntries } from './supersede.ts'

const byWriting = (a: Entry, b: Entry): number => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)

/** In order of time; entries of the same moment in the order in which they were written. */
const byTime = (a: Entry, b: Entry): number =>
  a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0

interface Sorted {
  bikes: BikeEntry[]
  parts: PartEntry[]
  moves: (FitEntry | RemoveEntry)[]
  rides: RideEntry[]
  conditions: ConditionEntry[]
  odometer: OdometerEntry[]
  readings: ReadingEntry[]
  uses: ReadingUseEntry[]
  looks: LookEntry[]
  washes: WashEntry[]
  limits: LimitEntry[]
  plans: PlanEntry[]
  events: EventEntry[]
  tools: ToolEntry[]
  zeroings: ZeroingEntry[]
}

function sortOut(entries: readonly Entry[]): Sorted {
  const out: Sorted = {
    bikes: [],
    parts: [],
    moves: [],
    rides: [],
    conditions: [],
    odometer: [],
    readings: [],
    uses: [],
    looks: [],
    washes: [],
    limits: [],
    plans: [],
    events: [],
    tools: [],
    zeroings: [],
  }
  for (const entry of entries) {
    switch (entry.kind) {
      case 'bike':
        out.bikes.push(entry)
        break
      case 'part':
        out.parts.push(entry)
        break
      case 'fit':
      case 'remove':
        out.moves.push(entry)
        break
      case 'ride':
        out.rides.push(entry)
        break
      case 'condition':
        out.conditions.push(entry)
        break
      case 'odometer':
        out.odometer.push(entry)
        break
      case 'reading':
        out.readings.push(entry)
        break
      case 'reading-use':
        out.uses.push(entry)
        break
      case 'look':
        out.looks.push(entry)
        break
      case 'wash':
        out.washes.push(entry)
        break
      case 'limit':
        out.limits.push(entry)
        break
      case 'plan':
        out.plans.push(entry)
        break
      case 'event':
        out.events.push(entry)
        break
      case 'tool':
        out.tools.push(entry)
        break
      case 'zeroing':
        out.zeroings.push(entry)
        break
      case 'withdraw':
        break
      default:
        entry satisfies never
    }
  }
  return out
}

function groupBy<T, K>(items: readonly T[], keyOf: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const item of items) {
    const key = keyOf(item)
    const group = groups.get(key)
    if (group) group.push(item)
    else groups.set(key, [item])
  }
  return groups
}

/** The last word on each ride's condition, by the order of writing: an older word does not outlive a correction. */
function saidConditions(
  conditions: readonly ConditionEntry[],
  current: (id: EntryId) => EntryId,
): ReadonlyMap<EntryId, ConditionEntry> {
  const said = new Map<EntryId, ConditionEntry>()
  for (const entry of [...conditions].sort(byWriting))
    for (const target of entry.targets) {
      const ride = current(target)
      if (entry.id > ride) said.set(ride, entry)
    }
  return said
}

/** A ride with the condition that counts: said since, said with it, or assumed. */
export function countedRide(ride: RideEntry, bike: BikeEntry, said?: ConditionEntry): Ride {
  const condition = said?.condition ?? ride.condition
  if (condition === undefined) return { ...ride, condition: usualAt(bike, ride.at), unsure: true }
  return ride.condition === condition ? (ride as Ride) : { ...ride, condition }
}

const byStart = (a: EventEntry, b: EventEntry): number => (a.starts < b.starts ? -1 : 1)

/** What is said of a bike beside its rides: the last word on its limit and plan, and what is planned with it. */
function withPlans(bike: Pick<BikeState, 'entry' | 'rides' | 'odometer'>, sorted: Plans): BikeState {
  const { bike: id } = bike.entry
  const limit = sorted.limits.get(id)
  const plan = sorted.plans.get(id)
  return {
    entry: bike.entry,
    rides: bike.rides,
    odometer: bike.odometer,
    ...(limit && { limit }),
    ...(plan && { plan }),
    events: sorted.events.get(id) ?? [],
  }
}
interface Plans {
  readonly limits: ReadonlyMap<BikeId, LimitEntry>
  readonly plans: ReadonlyMap<BikeId, PlanEntry>
  readonly events: ReadonlyMap<BikeId, readonly EventEntry[]>
}
const plansOf = ({ limits, plans, events }: Sorted): Plans => ({
  limits: new Map(limits.map((limit) => [limit.bike, limit])),
  plans: new Map(plans.map((plan) => [plan.bike, plan])),
  events: groupBy(events.sort(byStart), (event) => event.bike),
})

function bikeStates(sorted: Sorted, current: (id: EntryId) => EntryId): Map<BikeId, BikeState> {
  const rides = groupBy(sorted.rides, (ride) => ride.bike)
  const odometers = groupBy(sorted.odometer, (reading) => reading.bike)
  const said = saidConditions(sorted.conditions, current)
  const plans = plansOf(sorted)
  const bikes = new Map<BikeId, BikeState>()
  for (const entry of sorted.bikes) {
    const odometer = odometers.get(entry.bike) ?? []
    const counted = withSpreadRides(rides.get(entry.bike) ?? [], odometer)
    const ridden = counted.map((ride) => countedRide(ride, entry, said.get(ride.id)))
    bikes.set(entry.bike, withPlans({ entry, odometer, rides: ridden }, plans))
  }
  return bikes
}

/** The garage of sorted entries whose bikes are known. */
function assemble(
  sorted: Sorted,
  current: (id: EntryId) => EntryId,
  bikes: ReadonlyMap<BikeId, BikeState>,
): Garage {
  const partEntries = new Map(sorted.parts.map((part) => [part.part, part]))
  const { fittings, retired, lent } = mount(sorted.moves, partEntries)
  const parts = new Map<PartId, PartState>()
  for (const [id, entry] of partEntries) {
    const held: readonly Fitting[] = fittings.get(id) ?? []
    const lentTo = lent.get(id)
    parts.set(id, {
      entry,
      fittings: held,
      retired: retired.has(id),
      ...(lentTo !== undefined && { lentTo }),
    })
  }
  const use = new Map<EntryId, boolean>()
  // The order of writing decides here: both may be about the same moment.
  for (const entry of sorted.uses.sort(byWriting)) use.set(current(entry.target), entry.counts)
  const readingStates = sorted.readings.map((entry): ReadingState => ({
    entry,
    used: use.get(entry.id) ?? true,
  }))
  const zeroings = groupBy(sorted.zeroings, (zeroing) => zeroing.tool)
  return {
    bikes,
    parts,
    tools: new Map(
      sorted.tools.map((entry) => [entry.tool, { entry, zeroings: zeroings.get(entry.tool) ?? [] }]),
    ),
    readings: groupBy(readingStates, (state) => state.entry.chain),
    looks: groupBy(sorted.looks, (look) => look.part),
    washes: groupBy(sorted.washes, (wash) => wash.chain),
  }
}

function sortedByTime(entries: readonly Entry[]): Sorted {
  const sorted = sortOut(entries)
  for (const list of Object.values(sorted) as Entry[][]) list.sort(byTime)
  return sorted
}

/** A garage, and what it takes to carry it on when the log grows. */
export interface Replayed {
  readonly garage: Garage
  /** What counts, but for rides and what is said of them. */
  readonly rest: readonly Entry[]
  readonly current: (id: EntryId) => EntryId
}

const isOfRides = ({ kind }: Entry): boolean => kind === 'ride' || kind === 'condition' || kind === 'odometer'

/** {@link replay}, with what it takes to carry it on. */
export function replayed(entries: readonly Entry[]): Replayed {
  const live = liveEntries(entries)
  const sorted = sortedByTime(live)
  const current = lineage(entries)
  const garage = assemble(sorted, current, bikeStates(sorted, current))
  return { garage, rest: live.filter((entry) => !isOfRides(entry)), current }
}

/**
 * The garage when entries have come that correct nothing, withdraw nothing, and are no rides, bikes or words about
 * rides: what was ridden stays as it is.
 */
export function replayedWithMore({ garage, rest, current }: Replayed, more: readonly Entry[]): Replayed {
  const all = [...rest, ...more]
  const sorted = sortedByTime(all)
  const plans = plansOf(sorted)
  const planned = new Set(
    more.flatMap((entry) =>
      entry.kind === 'limit' || entry.kind === 'plan' || entry.kind === 'event' ? [entry.bike] : [],
    ),
  )
  const bikes = new Map(garage.bikes)
  for (const id of planned) {
    const bike = bikes.get(id)
    if (bike) bikes.set(id, withPlans(bike, plans))
  }
  return { garage: assemble(sorted, current, bikes), rest: all, current }
}

/**
 * The garage that a log describes. Depends on the set of entries alone, not on the order in which they arrive;
 * superseded and withdrawn entries leave no trace. Entries about a bike or part that the log does not hold are
 * kept aside without harm: they take effect when the missing entry arrives.
 */
export const replay = (entries: readonly Entry[]): Garage => replayed(entries).garage

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
  PartSpec,
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

/** What a bike can carry only one of: fitting a second closes the first, as it does in the stand. */
function slotOf(spec: PartSpec): string | undefined {
  switch (spec.type) {
    case 'chain':
    case 'cassette':
    case 'joining-link':
      return spec.type
    case 'pulley':
      return `${spec.position} pulley`
    case 'ring':
      return undefined
  }
}

interface Mounting {
  fittings: Map<PartId, { part: PartId; bike: BikeId; from: string; to?: string; entry: EntryId }[]>
  retired: Set<PartId>
  lent: Map<PartId, string>
}

function mount(moves: readonly (FitEntry | RemoveEntry)[], parts: ReadonlyMap<PartId, PartEntry>): Mounting {
  const fittings: Mounting['fittings'] = new Map()
  const retired = new Set<PartId>()
  const lent = new Map<PartId, string>()
  const slots = new Map<string, PartId>()
  const close = (part: PartId, at: string): void => {
    const open = fittings.get(part)?.at(-1)
    if (open && open.to === undefined) open.to = at
  }
  for (const move of moves) {
    close(move.part, move.at)
    retired.delete(move.part)
    lent.delete(move.part)
    if (move.kind === 'remove') {
      if (move.to === 'retired') retired.add(move.part)
      if (move.to === 'lent') lent.set(move.part, move.lentTo ?? '')
      continue
    }
    const spec = parts.get(move.part)?.spec
    const slot = spec && slotOf(spec)
    if (slot !== undefined) {
      const key = `${move.bike} ${slot}`
      const before = slots.get(key)
      if (before !== undefined && before !== move.part && fittings.get(before)?.at(-1)?.bike === move.bike)
        close(before, move.at)
      slots.set(key, move.part)
    }
    const held = fittings.get(move.part) ?? []
    held.push({ part: move.part, bike: move.bike, from: move.at, entry: move.id })
    fittings.set(move.part, held)
  }
  return { fittings, retired, lent }
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

function bikeStates(sorted: Sorted, current: (id: EntryId) => EntryId): Map<BikeId, BikeState> {
  const rides = groupBy(sorted.rides, (ride) => ride.bike)
  const odometers = groupBy(sorted.odometer, (reading) => reading.bike)
  const limits = new Map(sorted.limits.map((limit) => [limit.bike, limit]))
  const plans = new Map(sorted.plans.map((plan) => [plan.bike, plan]))
  const events = groupBy(sorted.events, (event) => event.bike)
  const said = saidConditions(sorted.conditions, current)
  const bikes = new Map<BikeId, BikeState>()
  for (const entry of sorted.bikes) {
    const limit = limits.get(entry.bike)
    const plan = plans.get(entry.bike)
    const odometer = odometers.get(entry.bike) ?? []
    const counted = withSpreadRides(rides.get(entry.bike) ?? [], odometer)
    bikes.set(entry.bike, {
      entry,
      rides: counted.map((ride) => countedRide(ride, entry, said.get(ride.id))),
      odometer,
      ...(limit && { limit }),
      ...(plan && { plan }),
      events: (events.get(entry.bike) ?? []).sort(byStart),
    })
  }
  return bikes
}

/**
 * The garage that a log describes. Depends on the set of entries alone, not on the order in which they arrive;
 * superseded and withdrawn entries leave no trace. Entries about a bike or part that the log does not hold are
 * kept aside without harm: they take effect when the missing entry arrives.
 */
export function replay(entries: readonly Entry[]): Garage {
  const live = liveEntries(entries)
  const sorted = sortOut(live)
  for (const list of Object.values(sorted) as Entry[][]) list.sort(byTime)

  const current = lineage(entries)
  const bikes = bikeStates(sorted, current)
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

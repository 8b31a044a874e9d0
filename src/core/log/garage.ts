import type { ListedBeside } from './kind-of.ts'
import type { Condition } from '../exposure/conditions.ts'
import type { BikeEntry } from './kinds/bike.ts'
import type { BikeId, EntryId, IsoTime, PartId, ToolId } from './entry.ts'
import type { EventEntry } from './kinds/event.ts'
import type { LimitEntry } from './kinds/limit.ts'
import type { LookEntry } from './kinds/look.ts'
import type { OdometerEntry } from './kinds/odometer.ts'
import type { PartEntry } from './kinds/part.ts'
import type { PlanEntry } from './kinds/plan.ts'
import type { ReadingEntry } from './kinds/reading.ts'
import type { RideEntry } from './kinds/ride.ts'
import type { ToolEntry } from './kinds/tool.ts'
import type { WashEntry } from './kinds/wash.ts'
import type { ZeroingEntry } from './kinds/zeroing.ts'

/** A stretch of time a part spent on a bike: `from` inclusive, `to` exclusive, absent while it is still on. */
export interface Fitting {
  readonly part: PartId
  readonly bike: BikeId
  readonly from: IsoTime
  readonly to?: IsoTime
  /** The entry that began it. */
  readonly entry?: EntryId
}

export interface PartState {
  readonly entry: PartEntry
  /** In order of time; the last one may be open. */
  readonly fittings: readonly Fitting[]
  readonly retired: boolean
  /** With somebody else, until it is fitted or back on the shelf; the name may be empty. */
  readonly lentTo?: string
}

export interface ReadingState {
  readonly entry: ReadingEntry
  /** False when it was left out by hand. */
  readonly used: boolean
}

/** A tool of the rider's own and the readings that zeroed it. */
export interface ToolState {
  readonly entry: ToolEntry
  readonly zeroings: readonly ZeroingEntry[]
}

/** A ride as it is counted: its condition said since, or assumed. */
export type Ride = RideEntry & {
  readonly condition: Condition
  /** No condition is set: it is the bike's usual. */
  readonly unsure?: true
  /** Distance the odometer tells of and no ride accounts for, spread over the days between. */
  readonly spread?: true
}
export interface BikeState {
  readonly entry: BikeEntry
  /** In order of time. */
  readonly rides: readonly Ride[]
  /** In order of time. */
  readonly odometer: readonly OdometerEntry[]
  readonly limit?: LimitEntry
  readonly plan?: PlanEntry
  /** Everything planned with it, in the order in which it begins; what is over too. */
  readonly events: readonly EventEntry[]
}

/** Everything the log says, derived. Never stored. */
export interface Garage {
  readonly bikes: ReadonlyMap<BikeId, BikeState>
  readonly parts: ReadonlyMap<PartId, PartState>
  /** Per chain, in order of time. */
  readonly readings: ReadonlyMap<PartId, readonly ReadingState[]>
  /** Per part, in order of time. */
  readonly looks: ReadonlyMap<PartId, readonly LookEntry[]>
  readonly tools: ReadonlyMap<ToolId, ToolState>
  /** Per chain, in order of time. */
  readonly washes: ReadonlyMap<PartId, readonly WashEntry[]>
  /** Every kind's entries under the key its home names, in order of time; rides and bikes stand in {@link bikes} alone. */
  readonly listed: ListedBeside
}

/** The fitting that is open now, if the part is on a bike. */
export function openFitting(part: PartState): Fitting | undefined {
  const last = part.fittings.at(-1)
  return last?.to === undefined ? last : undefined
}

const onBikes = new WeakMap<Garage['parts'], ReadonlyMap<BikeId, readonly PartState[]>>()
const NO_PARTS: readonly PartState[] = []

/** The parts that are on a bike now, by the bike. Gathered once for each state of the parts: a workshop has thousands. */
function partsOnBikes(parts: Garage['parts']): ReadonlyMap<BikeId, readonly PartState[]> {
  const held = onBikes.get(parts)
  if (held) return held
  const gathered = new Map<BikeId, PartState[]>()
  for (const part of parts.values()) {
    const bike = openFitting(part)?.bike
    if (bike === undefined) continue
    const own = gathered.get(bike)
    if (own) own.push(part)
    else gathered.set(bike, [part])
  }
  onBikes.set(parts, gathered)
  return gathered
}

/** The parts on a bike now, of one type or of all. */
export function fittedParts(
  garage: Garage,
  bike: BikeId,
  type?: PartEntry['spec']['type'],
): readonly PartState[] {
  const own = partsOnBikes(garage.parts).get(bike) ?? NO_PARTS
  return type === undefined ? own : own.filter((part) => part.entry.spec.type === type)
}

/** The chain on a bike now. */
export const fittedChain = (garage: Garage, bike: BikeId): PartState | undefined =>
  fittedParts(garage, bike, 'chain')[0]

/** The chains of a bike that are kept: the one that is on, and those that ran on it last and are neither lent nor retired. */
export const chainsOfSet = (garage: Garage, bike: BikeId): readonly PartState[] =>
  [...garage.parts.values()].filter(
    ({ entry, retired, fittings, lentTo }) =>
      entry.spec.type === 'chain' && !retired && lentTo === undefined && fittings.at(-1)?.bike === bike,
  )

/** The joining link on a bike now, where the log has one. */
export const fittedLink = (garage: Garage, bike: BikeId): PartState | undefined =>
  fittedParts(garage, bike, 'joining-link')[0]

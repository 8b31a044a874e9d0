import type { Condition } from '../exposure/conditions.ts'
import type { Lube } from '../lube/lubes.ts'
import type { Instrument, Reading } from '../measure/reading.ts'

/** ISO 8601 time in UTC, as `2026-03-09T07:30:00.000Z`. */
export type IsoTime = string
/** A version 7 UUID: sorts by the moment of writing, unique across devices. */
export type EntryId = string
export type BikeId = string
export type PartId = string
export type ToolId = string

interface EntryBase {
  readonly id: EntryId
  /** When the thing happened, which may be long before it was written down. */
  readonly at: IsoTime
  /** The first entry of the action that wrote this one: what one press of "undo" takes back. */
  readonly act?: EntryId
  /** A correction: the entry that this one replaces. */
  readonly supersedes?: EntryId
}

export type Shifting = 'cable' | 'electric' | 'hub-gear' | 'none'
export type Motor = 'none' | 'hub' | 'mid-drive'
export type SprocketMaterial = 'steel' | 'aluminium' | 'titanium'
/** Which limit the owner goes by: 0.5 %, the usual rule for the drivetrain, or 1.0 %. */
export type School = 'early' | 'usual' | 'late'
/** The five words for wear. */
export type WearWord = 'fresh' | 'good' | 'watch' | 'swap' | 'spent'
export type Storage = 'indoors' | 'outdoors'

/** A bike. Written again, superseding, when its description changes. */
export interface BikeEntry extends EntryBase {
  readonly kind: 'bike'
  readonly bike: BikeId
  readonly name: string
  /** What it is, in the owner's words: "steel commuter, 1 x 11". */
  readonly note: string
  /** Number of cogs; 1 for a single cog or a hub gear. */
  readonly speeds: number
  readonly shifting: Shifting
  readonly motor: Motor
  /** What its rides are taken to be where nothing else is said. */
  readonly usual: Condition
  readonly kept: Storage
}

export interface ChainSpec {
  readonly type: 'chain'
  readonly links: number
  readonly speeds: number
  /** Bought used, or on the bike since before anyone wrote anything down. */
  readonly past: 'new' | 'unknown'
}
export interface CassetteSpec {
  readonly type: 'cassette'
  /** Tooth counts, smallest cog first. */
  readonly teeth: readonly number[]
  readonly material: SprocketMaterial
}
export interface RingSpec {
  readonly type: 'ring'
  readonly teeth: number
  readonly material: SprocketMaterial
}
export interface PulleySpec {
  readonly type: 'pulley'
  readonly position: 'guide' | 'tension'
  readonly teeth: number
}
export type PartSpec = ChainSpec | CassetteSpec | RingSpec | PulleySpec

export interface PartEntry extends EntryBase {
  readonly kind: 'part'
  readonly part: PartId
  readonly name: string
  readonly spec: PartSpec
  /** Anything worth knowing: "none to be had before spring". */
  readonly note?: string
}
export interface FitEntry extends EntryBase {
  readonly kind: 'fit'
  readonly part: PartId
  readonly bike: BikeId
}
export interface RemoveEntry extends EntryBase {
  readonly kind: 'remove'
  readonly part: PartId
  readonly to: 'shelf' | 'retired'
}
export interface RideEntry extends EntryBase {
  readonly kind: 'ride'
  readonly bike: BikeId
  /** The distance used: the device's own where it gave one, else the track's. Never negative. */
  readonly km: number
  readonly condition: Condition
  /** Distance computed from the track, kept beside the device's. */
  readonly trackKm?: number
  readonly movingSeconds?: number
  /** Energy through the chain, kJ per km, where it is known. */
  readonly energyKjPerKm?: number
  /** The file it came from and what recognises the same ride when it is offered again. */
  readonly source?: { readonly file: string; readonly print: string }
}
export interface ReadingEntry extends EntryBase {
  readonly kind: 'reading'
  readonly chain: PartId
  readonly reading: Reading
  /** Links counted from the joining link to where it was taken; absent when nobody counted. */
  readonly place?: number
  /** The tool of one's own it was taken with; absent: whatever there is of that instrument. */
  readonly tool?: ToolId
}
/** A measuring tool of one's own. Written again, superseding, when its name or use changes. */
export interface ToolEntry extends EntryBase {
  readonly kind: 'tool'
  readonly tool: ToolId
  readonly instrument: Instrument
  readonly name: string
  readonly retired: boolean
  /** For a printed strip: what its check bar of 200 mm measures, mm. */
  readonly barMm?: number
}
/** A reading of a chain known to be new, which tells what the tool adds by itself. */
export interface ZeroingEntry extends EntryBase {
  readonly kind: 'zeroing'
  readonly tool: ToolId
  readonly reading: Reading
}
/** Leaves a reading out of the reckoning, or puts it back. The last word counts. */
export interface ReadingUseEntry extends EntryBase {
  readonly kind: 'reading-use'
  readonly target: EntryId
  readonly use: boolean
}
/** A look at teeth, by eye. */
export interface LookEntry extends EntryBase {
  readonly kind: 'look'
  readonly part: PartId
  /** Tooth count of the cog looked at, when the part is a cassette. */
  readonly cog?: number
  readonly word: WearWord
}
export type WashMethod = 'none' | 'wipe' | 'on-bike' | 'off-bike'
export interface WashEntry extends EntryBase {
  readonly kind: 'wash'
  readonly chain: PartId
  readonly method: WashMethod
  /** What was put on afterwards; absent when the chain was cleaned and left as it was. */
  readonly lube?: Lube
}
/** Which limit a bike goes by. The last one counts. */
export interface LimitEntry extends EntryBase {
  readonly kind: 'limit'
  readonly bike: BikeId
  readonly school: School
  /** A limit of one's own for this bike, %, which takes the school's place. */
  readonly percent?: number
  /** Why, in the owner's words. */
  readonly reason?: string
}
/** Takes entries back. Withdrawing a withdrawal puts them in again. */
export interface WithdrawEntry extends EntryBase {
  readonly kind: 'withdraw'
  readonly targets: readonly EntryId[]
}

/** Everything that can stand in the log. */
export type Entry =
  | BikeEntry
  | PartEntry
  | FitEntry
  | RemoveEntry
  | RideEntry
  | ReadingEntry
  | ReadingUseEntry
  | ToolEntry
  | ZeroingEntry
  | LookEntry
  | WashEntry
  | LimitEntry
  | WithdrawEntry

export type EntryKind = Entry['kind']

/** An entry before the store has given it its id and action. Distributes over the union. */
export type EntryDraft = Entry extends infer E ? (E extends Entry ? Omit<E, 'id' | 'act'> : never) : never

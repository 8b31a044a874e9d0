import type { Condition, Quarter } from '../exposure/conditions.ts'
import type { Lube } from '../lube/lubes.ts'
import type { Instrument, Reading } from '../measure/reading.ts'

/** The form in which this app stores entries. Counted up with every step in `upgrade.ts`. */
export const ENTRY_FORMAT = 2

/** ISO 8601 time in UTC, as `2026-03-09T07:30:00.000Z`. */
export type IsoTime = string
/** A version 7 UUID: sorts by the moment of writing, unique across devices. */
export type EntryId = string
export type BikeId = string
export type PartId = string
export type ToolId = string

interface EntryBase {
  readonly id: EntryId
  /** Which form of stored entries this is: {@link ENTRY_FORMAT} for all that the log holds. */
  readonly format: number
  /** When the thing happened, which may be long before it was written down. */
  readonly at: IsoTime
  /** The id of the first entry of the action that wrote this one: what one press of "undo" takes back. */
  readonly action?: EntryId
  /** A correction: the entry that this one replaces. */
  readonly supersedes?: EntryId
  /** The id it was first written under, by a device whose clock ran ahead: see `one-stamp.ts`. */
  readonly firstId?: EntryId
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
  readonly usualCondition: Condition
  readonly storage: Storage
  /** What its rides are taken to be in a part of the year, where that differs from `usual`. */
  readonly usualByQuarter?: Readonly<Partial<Record<Quarter, Condition>>>
  /** Wheel circumference, mm; absent: a guess. */
  readonly circumferenceMm?: number
  /** Rider, bike and load, kg; absent: a guess. */
  readonly massKg?: number
  /** Share of the work that the motor does, 0 to 1; absent: a guess. */
  readonly motorShare?: number
  /** Share of the energy on each cog where no cadence tells, by tooth count; absent: a guess. */
  readonly cogMix?: Readonly<Record<string, number>>
}

export type ChainSurface = 'plain' | 'plated' | 'hard-coated'
export interface ChainSpec {
  readonly type: 'chain'
  readonly links: number
  readonly speeds: number
  /** Bought used, or on the bike since before anyone wrote anything down. */
  readonly past: 'new' | 'unknown'
  readonly surface?: ChainSurface
  /** It runs one way round only: printed side out, arrow forward. */
  readonly directional?: boolean
  /** How its ends join. */
  readonly join?: 'joining-link' | 'pin'
}
/** The link that opens without a tool. Made for few closings: they are counted. */
export interface JoiningLinkSpec {
  readonly type: 'joining-link'
  readonly speeds: number
  /** How often its maker lets it be closed; 1 for a link of single use. */
  readonly closingsAllowed: number
  /** Closings before the log begins. */
  readonly closedBefore: number
}
export interface CassetteSpec {
  readonly type: 'cassette'
  /** Tooth counts, smallest cog first. */
  readonly teeth: readonly number[]
  readonly material: SprocketMaterial
  /** Tooth counts of the cogs that can be bought singly. */
  readonly soldSingly?: readonly number[]
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
export type PartSpec = ChainSpec | JoiningLinkSpec | CassetteSpec | RingSpec | PulleySpec

export interface PartEntry extends EntryBase {
  readonly kind: 'part'
  readonly part: PartId
  readonly name: string
  readonly spec: PartSpec
  /** Anything worth knowing: "none to be had before spring". */
  readonly note?: string
  /** Bought or come used: the distance it had done before, km, where anybody knows it. */
  readonly used?: { readonly km?: number }
}
export interface FitEntry extends EntryBase {
  readonly kind: 'fit'
  readonly part: PartId
  readonly bike: BikeId
}
export interface RemoveEntry extends EntryBase {
  readonly kind: 'remove'
  readonly part: PartId
  readonly to: 'shelf' | 'retired' | 'lent'
  /** To whom it was lent. */
  readonly lentTo?: string
}
export interface RideEntry extends EntryBase {
  readonly kind: 'ride'
  readonly bike: BikeId
  /** The distance used: the device's own where it gave one, else the track's. Never negative. */
  readonly km: number
  /** Absent: nobody has said yet. It is then taken to be the bike's usual, and the forecast is the wider for it. */
  readonly condition?: Condition
  /** Distance computed from the track, kept beside the device's. */
  readonly trackKm?: number
  readonly movingSeconds?: number
  /** Energy through the chain, kJ per km, where it is known. */
  readonly energyKjPerKm?: number
  /** From start to end, s, stops included; absent where only the day is known. */
  readonly elapsedSeconds?: number
  /** What was recorded beside the distance: the richer of two recordings of one ride is kept. */
  readonly recorded?: readonly ('cadence' | 'power')[]
  /** Energy through each gear, kJ, by ring and cog as "40x15", where cadence told the gear. */
  readonly gears?: Readonly<Record<string, number>>
  /** Where it began, rounded to about a kilometre: enough for the weather, not for the door. */
  readonly place?: { readonly lat: number; readonly lon: number }
  /** Recognises rides along the same way. */
  readonly route?: string
  /** How its figures were come by, where it came out of a file. */
  readonly receipt?: RideReceipt
  /** The file it came from and what recognises the same ride when it is offered again. */
  readonly source?: RideSource
  /** Other recordings of the same ride, which gave way to this one. */
  readonly otherSources?: readonly RideSource[]
}
/** What of a file was used for a ride, and what was not. */
export interface RideReceipt {
  readonly distance: 'device' | 'track' | 'table'
  /** Why the device's own distance was not used, where it gave one. */
  readonly deviceFault?: 'impossible' | 'unlike-track'
  /** What the energy is told from; absent: it is not known. */
  readonly energy?: 'power' | 'speed'
  /** Points read. */
  readonly points?: number
  /** Points left out: no bike came there in the time. */
  readonly stray?: number
  /** Points left out: without a usable place or time. */
  readonly bad?: number
  /** Points that were written twice and count once. */
  readonly twice?: number
  /** Figures of power or cadence left out: no rider has them. */
  readonly wild?: number
  /** What the file calls it, where its owner took it all the same. */
  readonly sport?: string
  /** The day that the device wrote, where its owner put another in its place. */
  readonly writtenAt?: IsoTime
}
export interface RideSource {
  readonly file: string
  readonly fingerprint: string
}
/** What rides were ridden in, said after they came in. The last word on a ride counts. */
export interface ConditionEntry extends EntryBase {
  readonly kind: 'condition'
  readonly targets: readonly EntryId[]
  readonly condition: Condition
  readonly from: 'rider' | 'weather' | 'usual'
}
/** What the bike's computer shows. Distance that no ride accounts for is the difference of two readings. */
export interface OdometerEntry extends EntryBase {
  readonly kind: 'odometer'
  readonly bike: BikeId
  readonly km: number
  /** The count began anew here: another computer, or a reset one. */
  readonly restarted?: boolean
}
export interface ReadingEntry extends EntryBase {
  readonly kind: 'reading'
  readonly chain: PartId
  readonly reading: Reading
  /** Links counted from the joining link to where it was taken; absent when nobody counted. */
  readonly linksFromJoint?: number
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
  readonly checkBarMm?: number
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
  readonly counts: boolean
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
/** How far a bike is meant to go from now on. The last word counts. */
export interface PlanEntry extends EntryBase {
  readonly kind: 'plan'
  readonly bike: BikeId
  /** km a week; absent: as it was ridden lately. */
  readonly weeklyKm?: number
}
/** Something planned with a bike: a tour, a race, a week of deliveries. */
export interface EventEntry extends EntryBase {
  readonly kind: 'event'
  readonly event: string
  readonly bike: BikeId
  readonly name: string
  /** When it begins; `at` is when it was planned. */
  readonly starts: IsoTime
  /** How long it takes, days, 1 or more. */
  readonly days: number
  readonly km: number
  readonly condition: Condition
}
/** Takes entries back. Withdrawing a withdrawal puts them in again. */
export interface WithdrawEntry extends EntryBase {
  readonly kind: 'withdraw'
  readonly targets: readonly EntryId[]
  /** What asked for it, where it was not the entry's own "take out": undo and redo do not undo one another. */
  readonly reason?: 'undo' | 'redo' | 'restore'
}

/** Everything that can stand in the log. */
export type Entry =
  | BikeEntry
  | PartEntry
  | FitEntry
  | RemoveEntry
  | RideEntry
  | ConditionEntry
  | OdometerEntry
  | ReadingEntry
  | ReadingUseEntry
  | ToolEntry
  | ZeroingEntry
  | LookEntry
  | WashEntry
  | LimitEntry
  | PlanEntry
  | EventEntry
  | WithdrawEntry

export type EntryKind = Entry['kind']

/** An entry before the store has given it its id, format and action. Distributes over the union. */
export type EntryDraft = Entry extends infer E
  ? E extends Entry
    ? Omit<E, 'id' | 'format' | 'action'>
    : never
  : never

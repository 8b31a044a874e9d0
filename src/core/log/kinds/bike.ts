import type { Condition, Quarter } from '../../exposure/conditions.ts'
import type { EntryBase, BikeId } from '../entry.ts'
import { FIT_FIELDS, type FitFacts } from '../fit-facts.ts'
import type { RideKind } from './kind.ts'

export type Shifting = 'cable' | 'electric' | 'hub-gear' | 'none'

export type Motor = 'none' | 'hub' | 'mid-drive'

export type Brakes = 'disc' | 'rim'

/** What a bike has beside its drivetrain, as far as its checks go. */
export interface Build {
  readonly suspension?: boolean
  readonly tyres?: 'tubes' | 'tubeless'
  readonly carbon?: boolean
  readonly axles?: 'through' | 'quick-release' | 'nuts'
  readonly brakeLine?: 'hydraulic' | 'cable'
}

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
  /** Absent: not entered. */
  readonly brakes?: Brakes
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
  /** What its parts must agree with, where that is known. */
  readonly fit?: FitFacts
  /** Absent, and what is absent in it: not entered. */
  readonly build?: Build
  /** Whose it is, and where it stands: what a workshop sorts its bikes by. */
  readonly owner?: string
  readonly rack?: string
}

/** Bounds of a bike's fields. */
export const BIKE_BOUNDS = { speeds: 16, circumferenceMm: [500, 4000], massKg: [20, 800] } as const

export const bike: RideKind<BikeEntry> = {
  fields: {
    bike: 'own',
    name: 'name',
    note: 'remark',
    speeds: 'measure',
    shifting: 'measure',
    motor: 'measure',
    usualCondition: 'measure',
    storage: 'measure',
    brakes: 'measure',
    usualByQuarter: 'measure',
    circumferenceMm: 'measure',
    massKg: 'measure',
    motorShare: 'measure',
    cogMix: 'measure',
    fit: FIT_FIELDS,
    build: 'measure',
    owner: 'person',
    rack: 'place',
  },
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
  bornOnce: true,
  changesRides: true,
}

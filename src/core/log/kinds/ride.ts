import type { Condition } from '../../exposure/conditions.ts'
import type { SteepStretches } from '../../exposure/steep.ts'
import type { EntryBase, BikeId, IsoTime } from '../entry.ts'
import type { RideKind } from './kind.ts'

export interface RideEntry extends EntryBase {
  readonly kind: 'ride'
  readonly bike: BikeId
  /** The distance used: the device's own where it gave one, else the track's. Never negative. */
  readonly km: number
  /** Absent: not set yet. It is then taken to be the bike's usual, which widens the forecast. */
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
  /** Its steepest stretches, %, over 50, 200 and 1000 m; absent where it was recorded without heights. */
  readonly steep?: SteepStretches
  /** Recognises rides along the same way. */
  readonly route?: string
  /** Where its figures come from, where it came out of a file. */
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
  /** What the energy is worked out from; absent: it is not known. */
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

/** Bounds of a ride's fields. */
export const RIDE_BOUNDS = {
  /** One ride, or one recording of several days. */
  km: 5000,
  /** From start to end with its nights: 60 days. */
  elapsedSeconds: 60 * 86_400,
  /** 15 days without getting off. */
  movingSeconds: 15 * 86_400,
  /** A motor of 2 kW at walking pace gives about 1400. */
  energyKjPerKm: 1500,
  gearEnergyKj: 1e6,
  /** Of one recording: a point a second for two months is less. */
  points: 1e7,
  steepPercent: 45,
  fileNameLetters: 400,
} as const

export const ride: RideKind<RideEntry> = {
  fields: {
    bike: 'own',
    km: 'measure',
    condition: 'measure',
    trackKm: 'measure',
    movingSeconds: 'measure',
    energyKjPerKm: 'measure',
    elapsedSeconds: 'measure',
    recorded: 'measure',
    gears: 'measure',
    place: 'place',
    steep: 'measure',
    route: 'place',
    receipt: {
      distance: 'measure',
      deviceFault: 'measure',
      energy: 'measure',
      points: 'measure',
      stray: 'measure',
      bad: 'measure',
      twice: 'measure',
      wild: 'measure',
      sport: 'words',
      writtenAt: 'own',
    },
    source: 'person',
    otherSources: 'person',
  },
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
  changesRides: true,
}

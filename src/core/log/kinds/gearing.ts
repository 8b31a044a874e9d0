import type { BikeId, EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** Rings and cogs that a bike might have. */
export interface WhatIf {
  readonly name: string
  /** Tooth counts, smallest first. */
  readonly rings: readonly number[]
  readonly cogs: readonly number[]
}

/** What choosing a bike's gears goes by, beside what is on it. The last of a bike counts. */
export interface GearingEntry extends EntryBase {
  readonly kind: 'gearing'
  readonly bike: BikeId
  /** Between the two axles, mm; absent: not measured. */
  readonly chainstayMm?: number
  /** What the rider can hold for an hour, W; absent: a guess by breath. */
  readonly powerW?: number
  /** The steepest hill that must be ridden, %; absent: by the rider's own rides. */
  readonly hillPercent?: number
  /** Cadence that is comfortable on the flat, and the slowest on a climb, 1/min. */
  readonly cadenceRpm?: number
  readonly slowestRpm?: number
  readonly whatIfs: readonly WhatIf[]
}

/** Bounds of these fields. */
export const GEARING_BOUNDS = {
  chainstayMm: [300, 700],
  powerW: [30, 600],
  hillPercent: [0, 45],
  rpm: [30, 140],
  rings: 3,
  cogs: 16,
  whatIfs: 12,
} as const

export const gearing: Kind<GearingEntry> = {
  fields: {
    bike: 'own',
    chainstayMm: 'measure',
    powerW: 'measure',
    hillPercent: 'measure',
    cadenceRpm: 'measure',
    slowestRpm: 'measure',
    whatIfs: { name: 'name', rings: 'measure', cogs: 'measure' },
  },
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
}

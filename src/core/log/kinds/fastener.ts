import type { Joint } from '../../checks/torque.ts'
import type { BikeId, EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** A bolt of a bike, and what its makers say of it. The last word counts. */
export interface FastenerEntry extends EntryBase {
  readonly kind: 'fastener'
  readonly bike: BikeId
  readonly fastener: string
  readonly name: string
  /** Its size, as M5; absent: not entered. */
  readonly size?: string
  /** What the two parts' makers say, N m: one, two, or none known. */
  readonly valuesNm: readonly number[]
  /** What goes between. */
  readonly joint: Joint
  /** One of the parts is carbon. */
  readonly isCarbon?: true
  /** No longer on the bike. */
  readonly isGone?: true
}

/** A bolt was tightened to a value, or by feel. */
export interface TightenedEntry extends EntryBase {
  readonly kind: 'tightened'
  readonly bike: BikeId
  readonly fastener: string
  /** N m; absent: by feel. */
  readonly nm?: number
  /** It turned: it had come loose. */
  readonly wasLoose?: true
}

/** Bounds of a torque, N m: no bolt of a bike takes more. */
export const TORQUE_BOUNDS = { nm: [0.1, 80], values: 2, sizeLetters: 12 } as const

const keyOf = ({ bike, fastener }: { readonly bike: BikeId; readonly fastener: string }): string =>
  `${bike} ${fastener}`

export const fastener: Kind<FastenerEntry> = {
  fields: {
    bike: 'own',
    fastener: 'own',
    name: 'name',
    size: 'words',
    valuesNm: 'measure',
    joint: 'measure',
    isCarbon: 'measure',
    isGone: 'measure',
  },
  isAbout: ({ bike }) => [bike],
  key: keyOf,
}
export const tightened: Kind<TightenedEntry> = {
  fields: { bike: 'own', fastener: 'own', nm: 'measure', wasLoose: 'measure' },
  isAbout: ({ bike }) => [bike],
  key: keyOf,
}

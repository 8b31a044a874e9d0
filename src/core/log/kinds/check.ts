import type { Act, ItemId } from '../../checks/items.ts'
import type { BikeId, EntryBase, IsoTime } from '../entry.ts'
import type { Kind } from './kind.ts'

/** How something was: right, to be watched, not right, or not on this bike. */
export const CHECK_RESULTS = ['pass', 'watch', 'fail', 'not-here'] as const
export type CheckResult = (typeof CHECK_RESULTS)[number]

/** Something on a bike that was looked at. The last of an item counts. */
export interface CheckEntry extends EntryBase {
  readonly kind: 'check'
  readonly bike: BikeId
  readonly item: ItemId
  readonly result: CheckResult
  /** What is done about it, where it failed. */
  readonly act?: Act
  /** By when: km from then on, and a day. */
  readonly byKm?: number
  readonly byDay?: IsoTime
  readonly note?: string
  /** A kept picture of it, by its own id. */
  readonly picture?: string
}

/** Bounds of a check's distance. */
export const CHECK_BOUNDS = { byKm: 100_000 } as const

/** The key under which the checks of one item of a bike are listed. */
export const checkKey = (bike: BikeId, item: ItemId): string => `${bike} ${item}`

export const check: Kind<CheckEntry> = {
  fields: {
    bike: 'own',
    item: 'measure',
    result: 'measure',
    act: 'measure',
    byKm: 'measure',
    byDay: 'own',
    note: 'words',
    picture: 'own',
  },
  isAbout: ({ bike }) => [bike],
  key: ({ bike, item }) => checkKey(bike, item),
}

import type { BikeId, EntryBase, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** Money spent on a bike, for a part or for work, beside what comes off the shelf. */
export interface PaidEntry extends EntryBase {
  readonly kind: 'paid'
  readonly bike: BikeId
  /** For what, in a few words. */
  readonly what: string
  /** Minor units of the currency. */
  readonly minor: number
  /** ISO 4217. */
  readonly currency: string
  readonly part?: PartId
}

export const paid: Kind<PaidEntry> = {
  fields: { bike: 'own', what: 'name', minor: 'money', currency: 'own', part: 'own' },
  ofMoney: true,
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
}

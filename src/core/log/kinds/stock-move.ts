import type { BikeId, EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** Something came onto the shelf or went off it. Two devices' moves add up. */
export interface StockMoveEntry extends EntryBase {
  readonly kind: 'stock-move'
  readonly stock: string
  /** Pieces, more or fewer; a whole number, not 0. */
  readonly count: number
  readonly why: 'bought' | 'used' | 'counted'
  /** Paid for all of them, minor units of the currency. */
  readonly minor?: number
  /** ISO 4217. */
  readonly currency?: string
  /** What it was used on. */
  readonly bike?: BikeId
}

export const stockMove: Kind<StockMoveEntry> = {
  fields: { stock: 'own', count: 'measure', why: 'measure', minor: 'money', currency: 'own', bike: 'own' },
  isAbout: ({ stock, bike }) => (bike === undefined ? [stock] : [stock, bike]),
  key: ({ stock }) => stock,
}

import type { BikeId, EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** What has a price: parts, one application of lube, an hour of work, and what one would pay to be spared a skip under load. */
export const PRICED = [
  'chain',
  'hardChain',
  'cassette',
  'singleCog',
  'ring',
  'pulleys',
  'lube',
  'hour',
  'skip',
] as const
export type Priced = (typeof PRICED)[number]

/** What parts and work cost for a bike. The last word counts; what it leaves out is a guess. */
export interface PricesEntry extends EntryBase {
  readonly kind: 'prices'
  readonly bike: BikeId
  /** ISO 4217, three letters. */
  readonly currency: string
  /** Minor units of the currency (cents, pence). */
  readonly minor: Readonly<Partial<Record<Priced, number>>>
}

/** The dearest that anything is taken to be, minor units. */
export const DEAREST_MINOR = 1e8

export const prices: Kind<PricesEntry> = {
  fields: { bike: 'own', currency: 'own', minor: 'money' },
  ofMoney: true,
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
}

import type { EntryBase } from '../entry.ts'
import { FIT_FIELDS, type FitFacts } from '../fit-facts.ts'
import type { Kind } from './kind.ts'

/** Kinds of things on the shelf. */
export const STOCK_ITEMS = [
  'chain',
  'hard-chain',
  'joining-link',
  'cassette',
  'single-cog',
  'ring',
  'pulleys',
  'derailleur',
  'drip-lube',
  'wax',
  'degreaser',
  'brake-pads',
  'cable',
  'tyre',
  'other',
] as const
export type StockItem = (typeof STOCK_ITEMS)[number]

/** A thing that is kept on the shelf, counted, not followed piece by piece. The last description counts. */
export interface StockEntry extends EntryBase {
  readonly kind: 'stock'
  readonly stock: string
  readonly name: string
  readonly item: StockItem
  /** Where it lies. */
  readonly place?: string
  /** No fewer than this are kept. */
  readonly minimum?: number
  readonly facts?: FitFacts
  /** It is kept no longer. */
  readonly isDropped?: boolean
}

/** The most of one thing on a shelf. */
export const STOCK_MOST = 10_000

export const stock: Kind<StockEntry> = {
  fields: {
    stock: 'own',
    name: 'name',
    item: 'measure',
    place: 'place',
    minimum: 'measure',
    facts: FIT_FIELDS,
    isDropped: 'measure',
  },
  isAbout: ({ stock }) => [stock],
  key: ({ stock }) => stock,
}

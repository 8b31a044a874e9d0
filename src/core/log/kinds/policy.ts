import type { BikeId, EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** The plan that an owner follows on a bike: when the chain is renewed, and with what. The last one counts. */
export interface PolicyEntry extends EntryBase {
  readonly kind: 'policy'
  readonly bike: BikeId
  /** A chain is renewed at this elongation, %. */
  readonly percent: number
  /** So many chains take turns; 1: one after another. */
  readonly chains: number
  /** A chain's turn, km; where several take turns. */
  readonly everyKm?: number
  /** Chain and cogs are run to the end together. */
  readonly isRunOut?: boolean
  /** Cogs are renewed one by one where they are sold so. */
  readonly isSingly?: boolean
  /** Chains with a hard surface are bought. */
  readonly isHard?: boolean
  readonly lube?: 'wax' | 'drip'
  /** A ring of a few teeth more goes on. */
  readonly isLargerRing?: boolean
}

/** Bounds of a plan's numbers. */
export const POLICY_BOUNDS = { percent: [0.1, 2], chains: [1, 4], everyKm: [20, 10_000] } as const

export const policy: Kind<PolicyEntry> = {
  fields: {
    bike: 'own',
    percent: 'measure',
    chains: 'measure',
    everyKm: 'measure',
    isRunOut: 'measure',
    isSingly: 'measure',
    isHard: 'measure',
    lube: 'measure',
    isLargerRing: 'measure',
  },
  ofMoney: true,
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
}

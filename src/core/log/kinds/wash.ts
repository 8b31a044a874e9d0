import type { Lube } from '../../lube/lubes.ts'
import type { WashWay } from '../../lube/wash-ways.ts'
import type { EntryBase, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

export type WashMethod = 'none' | 'wipe' | 'on-bike' | 'off-bike'

export interface WashEntry extends EntryBase {
  readonly kind: 'wash'
  readonly chain: PartId
  readonly method: WashMethod
  /** What was put on afterwards; absent when the chain was cleaned and left as it was. */
  readonly lube?: Lube
  /** How it was done, where that is known to the step. */
  readonly way?: WashWay
}

export const wash: Kind<WashEntry> = {
  fields: { chain: 'own', method: 'measure', lube: 'measure', way: 'measure' },
  isAbout: ({ chain }) => [chain],
  key: ({ chain }) => chain,
  onRoad: true,
}

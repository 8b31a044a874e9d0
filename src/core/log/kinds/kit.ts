import type { KitTool, WashWay } from '../../lube/wash-ways.ts'
import type { EntryBase, IsoTime } from '../entry.ts'
import type { Kind } from './kind.ts'

/** What there is to wash with, and how this rider likes to. The last word counts. */
export interface KitEntry extends EntryBase {
  readonly kind: 'kit'
  readonly tools: readonly KitTool[]
  /** No solvent near a chain: its maker forbids it, or the rider does. */
  readonly noSolvent?: true
  /** The way of washing that is kept to. */
  readonly school?: WashWay
  /** When the wax in the pot was fresh. */
  readonly waxSince?: IsoTime
}

export const kit: Kind<KitEntry> = {
  fields: { tools: 'measure', noSolvent: 'measure', school: 'measure', waxSince: 'own' },
  isAbout: () => [],
  key: () => 'kit',
}

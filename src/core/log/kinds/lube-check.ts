import type { ChainLook } from '../../lube/chain-looks.ts'
import type { EntryBase, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** How a chain looked and sounded. */
export interface LubeCheckEntry extends EntryBase {
  readonly kind: 'lube-check'
  readonly chain: PartId
  readonly look: ChainLook
}

export const lubeCheck: Kind<LubeCheckEntry> = {
  fields: { chain: 'own', look: 'measure' },
  isAbout: ({ chain }) => [chain],
  key: ({ chain }) => chain,
  onRoad: true,
}

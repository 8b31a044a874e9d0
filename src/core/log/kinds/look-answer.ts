import type { EntryBase, IsoTime, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

/**
 * The answer to a question about an odd look: it is right, and the log is complete. Looks at the chain up to then are
 * not asked about again.
 */
export interface LookAnswerEntry extends EntryBase {
  readonly kind: 'look-answer'
  readonly chain: PartId
  /** When the last reading of that look was taken. */
  readonly until: IsoTime
}

export const lookAnswer: Kind<LookAnswerEntry> = {
  fields: { chain: 'own', until: 'own' },
  isAbout: ({ chain }) => [chain],
  key: ({ chain }) => chain,
}

import type { EntryBase, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

export interface RemoveEntry extends EntryBase {
  readonly kind: 'remove'
  readonly part: PartId
  readonly to: 'shelf' | 'retired' | 'lent'
  /** To whom it was lent. */
  readonly lentTo?: string
}

export const remove: Kind<RemoveEntry> = {
  fields: { part: 'own', to: 'measure', lentTo: 'person' },
  isAbout: ({ part }) => [part],
  key: ({ part }) => part,
}

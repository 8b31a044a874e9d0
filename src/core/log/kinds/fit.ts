import type { EntryBase, BikeId, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

export interface FitEntry extends EntryBase {
  readonly kind: 'fit'
  readonly part: PartId
  readonly bike: BikeId
}

export const fit: Kind<FitEntry> = {
  fields: { part: 'own', bike: 'own' },
  isAbout: ({ part, bike }) => [part, bike],
  key: ({ part }) => part,
}

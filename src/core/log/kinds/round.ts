import type { ItemId } from '../../checks/items.ts'
import type { Occasion } from '../../checks/sheets.ts'
import type { BikeId, EntryBase, IsoTime } from '../entry.ts'
import type { Kind } from './kind.ts'

/**
 * A round that is gone through item by item. What was found stands in the checks: those of its items since it began belong to it,
 * whichever device wrote them. Written again when it ends before all of it was looked at.
 */
export interface RoundEntry extends EntryBase {
  readonly kind: 'round'
  readonly round: string
  readonly bike: BikeId
  readonly occasion: Occasion
  /** When it began; `at` is when this was written. */
  readonly began: IsoTime
  /** What is looked at, in this order. */
  readonly items: readonly ItemId[]
  /** It was ended though not all of it was looked at. */
  readonly isEnded?: true
}

export const round: Kind<RoundEntry> = {
  fields: {
    round: 'own',
    bike: 'own',
    occasion: 'measure',
    began: 'own',
    items: 'measure',
    isEnded: 'measure',
  },
  isAbout: ({ bike }) => [bike],
  key: ({ bike }) => bike,
}

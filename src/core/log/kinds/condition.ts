import type { Condition } from '../../exposure/conditions.ts'
import type { EntryBase, EntryId } from '../entry.ts'
import type { RideKind } from './kind.ts'

/** What rides were ridden in, said after they came in. The last word on a ride counts. */
export interface ConditionEntry extends EntryBase {
  readonly kind: 'condition'
  readonly targets: readonly EntryId[]
  readonly condition: Condition
  readonly from: 'rider' | 'weather' | 'usual'
}

export const condition: RideKind<ConditionEntry> = {
  fields: { targets: 'own', condition: 'measure', from: 'measure' },
  isAbout: () => [],
  speaksOf: ({ targets }) => targets,
  changesRides: true,
}

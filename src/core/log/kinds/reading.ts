import type { Reading } from '../../measure/reading.ts'
import type { EntryBase, PartId, ToolId } from '../entry.ts'
import type { Kind } from './kind.ts'

export interface ReadingEntry extends EntryBase {
  readonly kind: 'reading'
  readonly chain: PartId
  readonly reading: Reading
  /** Links counted from the joining link to where it was taken; absent when nobody counted. */
  readonly linksFromJoint?: number
  /** The rider's own tool it was taken with; absent: whatever there is of that instrument. */
  readonly tool?: ToolId
}

export const reading: Kind<ReadingEntry> = {
  fields: { chain: 'own', reading: 'measure', linksFromJoint: 'measure', tool: 'own' },
  isAbout: ({ chain }) => [chain],
  key: ({ chain }) => chain,
  onRoad: true,
}

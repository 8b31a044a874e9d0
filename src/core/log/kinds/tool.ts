import type { Instrument } from '../../measure/reading.ts'
import type { EntryBase, ToolId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** A measuring tool of the rider's own. Written again, superseding, when its name or use changes. */
export interface ToolEntry extends EntryBase {
  readonly kind: 'tool'
  readonly tool: ToolId
  readonly instrument: Instrument
  readonly name: string
  readonly retired: boolean
  /** For a printed strip: what its check bar of 200 mm measures, mm. */
  readonly checkBarMm?: number
}

/** What the check bar of 200 mm on a printed strip may measure, mm. */
export const CHECK_BAR_MM = [190, 210] as const

export const tool: Kind<ToolEntry> = {
  fields: { tool: 'own', instrument: 'measure', name: 'name', retired: 'measure', checkBarMm: 'measure' },
  isAbout: ({ tool }) => [tool],
  key: ({ tool }) => tool,
  bornOnce: true,
}

import type { Reading } from '../../measure/reading.ts'
import type { EntryBase, ToolId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** A reading of a chain known to be new, which tells what the tool adds by itself. */
export interface ZeroingEntry extends EntryBase {
  readonly kind: 'zeroing'
  readonly tool: ToolId
  readonly reading: Reading
}

export const zeroing: Kind<ZeroingEntry> = {
  fields: { tool: 'own', reading: 'measure' },
  isAbout: ({ tool }) => [tool],
  key: ({ tool }) => tool,
}

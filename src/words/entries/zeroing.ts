import type { ZeroingEntry } from '../../core/log/kinds/zeroing.ts'
import { sayCount } from '../numbers.ts'
import type { KindWords } from './kind-words.ts'

/** How zeroing a tool is worded. */
export const zeroing: KindWords<ZeroingEntry> = {
  name: 'zeroing',
  step: (count) => sayCount(count, 'zeroing'),
  say: ({ tool }, garage) => `${garage.tools.get(tool)?.entry.name ?? 'a tool'} zeroed on a new chain`,
  fields: [],
}

import type { ToolEntry } from '../../core/log/kinds/tool.ts'
import { SHORT_INSTRUMENT } from '../names.ts'
import { sayCount } from '../numbers.ts'
import type { KindWords } from './kind-words.ts'

/** How a measuring tool is worded. */
export const tool: KindWords<ToolEntry> = {
  name: 'tool',
  step: (count) => sayCount(count, 'tool'),
  say: ({ name, instrument, retired }) =>
    `${name}, a ${SHORT_INSTRUMENT[instrument]}${retired ? ', retired' : ''}`,
  fields: [],
}

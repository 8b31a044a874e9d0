import type { KitEntry } from '../../core/log/kinds/kit.ts'
import { sayList } from '../numbers.ts'
import { KIT_NAMES, WAY_NAMES } from '../wash-words.ts'
import type { KindWords } from './kind-words.ts'

/** How what there is to wash with is worded. */
export const kit: KindWords<KitEntry> = {
  name: 'wash kit',
  step: () => 'the wash kit',
  say: ({ tools, noSolvent, school }) =>
    [
      `To wash with: ${tools.length > 0 ? sayList(tools.map((tool) => KIT_NAMES[tool])) : 'brushes and cloths'}`,
      noSolvent ? 'no solvents' : '',
      school ? `usually ${WAY_NAMES[school]}` : '',
    ]
      .filter(Boolean)
      .join('; '),
  fields: [],
}

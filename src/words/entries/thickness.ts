import type { ThicknessEntry } from '../../core/log/kinds/thickness.ts'
import { sayMm, THICKNESS_TOOL_NAMES, WEARING_NAMES } from '../checks/wearing-words.ts'
import { sayCount } from '../numbers.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How a thickness is worded. */
export const thickness: KindWords<ThicknessEntry> = {
  name: 'thickness',
  step: (count) => sayCount(count, 'thickness'),
  say: ({ bike, part, isNew, mm, by, isDry, limitMm }, garage, units) => {
    const facts = [
      isNew && 'new',
      mm !== undefined && sayMm(mm, units),
      by && THICKNESS_TOOL_NAMES[by],
      limitMm !== undefined && `limit ${sayMm(limitMm, units)}`,
      isDry !== undefined && !isNew && (isDry ? 'dry' : 'still liquid'),
    ].filter(Boolean)
    return `${bikeName(garage, bike)}, ${WEARING_NAMES[part].toLowerCase()}: ${facts.join(', ') || 'looked at'}`
  },
  fields: [],
}

import type { CogTestEntry } from '../../core/log/kinds/cog-test.ts'
import { OPENS } from '../places.ts'
import { sayCount } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import { choiceField } from './fields.ts'
import type { KindWords } from './kind-words.ts'

const BY = { tool: 'by cog-check tool', ride: 'on a ride' } as const
const RESULT = { held: 'held', slipped: 'slipped' } as const

/** How a test of a cog is worded and corrected. */
export const cogTest: KindWords<CogTestEntry> = {
  name: 'cog under load',
  step: (count) => sayCount(count, 'testOfACog'),
  say: ({ part, cog, by, result }, garage) =>
    `${namePart(garage, part)}, cog ${cog} ${BY[by]}: ${RESULT[result]}`,
  fields: [choiceField('by', 'Found', BY), choiceField('result', 'It', RESULT)],
  writtenAt: { to: OPENS.checkTeeth, label: 'A chain that slipped on a cog, or held' },
}

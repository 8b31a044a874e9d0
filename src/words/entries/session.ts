import type { SessionEntry } from '../../core/log/kinds/session.ts'
import { sayCount } from '../numbers.ts'
import { WAY_NAMES } from '../wash-words.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How a wash that was run is worded. */
export const session: KindWords<SessionEntry> = {
  name: 'wash session',
  step: (count) => sayCount(count, 'washSession'),
  say: ({ bike, way, minutes, chains }, garage) =>
    `${bikeName(garage, bike)}: ${WAY_NAMES[way]}, ${sayCount(chains.length, 'chain')}, in ${sayCount(Math.round(minutes), 'minute')}`,
  fields: [],
}

import type { CheckEntry } from '../../core/log/kinds/check.ts'
import { STATIONS } from '../places.ts'
import { sayFindingBy, RESULT_NAMES } from '../checks/check-words.ts'
import { sayItem } from '../checks/item-names.ts'
import { sayCount } from '../numbers.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How something that was looked at is worded. */
export const check: KindWords<CheckEntry> = {
  name: 'check',
  step: (count) => sayCount(count, 'check'),
  say: (entry, garage, units) => {
    const { bike, item, result, note } = entry
    const by = result === 'fail' ? `, ${sayFindingBy(entry, units, entry.at)}` : ''
    return `${bikeName(garage, bike)}, ${sayItem(item)}: ${RESULT_NAMES[result].toLowerCase()}${by}${note ? `. ${note}` : ''}`
  },
  fields: [],
  writtenAt: { to: STATIONS.checks.path, label: 'Check the bike' },
}

import { OPENS } from '../places.ts'
import type { ConditionEntry } from '../../core/log/kinds/condition.ts'
import { CONDITION_NAMES } from '../names.ts'
import { sayCount } from '../numbers.ts'
import { conditionField } from './fields.ts'
import type { KindWords } from './kind-words.ts'

const FROM: Readonly<Record<ConditionEntry['from'], string>> = {
  rider: '',
  weather: ', from the weather',
  usual: ', as usual for the bike',
}

/** How the conditions of rides, set later, are worded and corrected. */
export const condition: KindWords<ConditionEntry> = {
  name: 'ride conditions',
  step: () => 'the conditions of rides',
  say: (entry) =>
    `${sayCount(entry.targets.length, 'ride')}: ${CONDITION_NAMES[entry.condition]}${FROM[entry.from]}`,
  fields: [conditionField()],
  writtenAt: { to: OPENS.setConditions, label: 'The conditions of rides' },
}

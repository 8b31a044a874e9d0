import type { Mishap, MishapEntry } from '../../core/log/kinds/mishap.ts'
import { newEntryAddress } from '../places.ts'
import { sayCount } from '../numbers.ts'
import { bikeField, choiceField } from './fields.ts'
import { bikeName, type KindWords } from './kind-words.ts'

export const MISHAP_NAMES: Readonly<Record<Mishap, string>> = {
  crash: 'a fall or a knock',
  'wheel-change': 'another rear wheel',
}

/** How a mishap is worded, written and corrected. */
export const mishap: KindWords<MishapEntry> = {
  name: 'mishap',
  step: (count) => sayCount(count, 'mishap'),
  say: ({ bike, what }, garage) => `${bikeName(garage, bike)}: ${MISHAP_NAMES[what]}`,
  fields: [bikeField(), choiceField('what', 'What happened', MISHAP_NAMES)],
  blank: (bike, at) => ({ kind: 'mishap', bike, at, what: 'crash' }),
  writtenAt: { to: newEntryAddress('mishap'), label: 'A fall, or another rear wheel' },
}

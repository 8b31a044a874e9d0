import type { RotationEntry } from '../../core/log/kinds/rotation.ts'
import { sayKm } from '../numbers.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How a choice of turns is worded. */
export const rotation: KindWords<RotationEntry> = {
  name: 'chain rotation',
  step: () => 'how chains take turns',
  say: ({ bike, everyKm }, garage, units) =>
    `${bikeName(garage, bike)}: chains take turns ${everyKm === undefined ? 'so that they wear evenly' : `every ${sayKm(everyKm, units)}`}`,
  fields: [],
}

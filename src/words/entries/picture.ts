import type { PictureEntry } from '../../core/log/kinds/picture.ts'
import { OPENS } from '../places.ts'
import { sayCount } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import type { KindWords } from './kind-words.ts'
import { sayDecimal } from '../grouped-number.ts'

/** How a measured picture is worded. */
export const picture: KindWords<PictureEntry> = {
  name: 'picture of teeth',
  step: (count) => sayCount(count, 'pictureOfTeeth'),
  say: ({ part, cog, excessMm }, garage) =>
    `${namePart(garage, part)}${cog === undefined ? '' : `, cog ${cog}`} in a picture: valleys ${sayDecimal(excessMm, 2)} mm wider than new`,
  fields: [],
  writtenAt: { to: OPENS.checkTeeth, label: 'A picture of a cog or ring' },
}

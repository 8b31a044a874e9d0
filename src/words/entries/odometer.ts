import { MOST_ODOMETER_KM, type OdometerEntry } from '../../core/log/kinds/odometer.ts'
import { sayCount, sayKm } from '../numbers.ts'
import { bikeField, distanceField } from './fields.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How a figure of the bike computer is worded and corrected. */
export const odometer: KindWords<OdometerEntry> = {
  name: 'bike computer',
  step: (count) => sayCount(count, 'figureOfTheBikeComputer'),
  say: ({ bike, km, restarted }, garage, units) =>
    `${bikeName(garage, bike)}’s bike computer at ${sayKm(km, units)}${restarted ? ', count restarted' : ''}`,
  fields: [bikeField(), distanceField(0, MOST_ODOMETER_KM)],
}

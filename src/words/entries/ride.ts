import { OPENS } from '../places.ts'
import { CONDITIONS, type Condition } from '../../core/exposure/conditions.ts'
import { RIDE_BOUNDS, type RideEntry } from '../../core/log/kinds/ride.ts'
import { CONDITION_NAMES } from '../names.ts'
import { sayCount, sayKm } from '../numbers.ts'
import { bikeField, distanceField, NOT_SET, without } from './fields.ts'
import { bikeName, type Field, type KindWords } from './kind-words.ts'

const isCondition = (text: string): text is Condition => CONDITIONS.includes(text as Condition)

const rideBike: Field<RideEntry> = {
  ...bikeField<RideEntry>(),
  write: (draft, bike) => ({
    // Another bike has other cogs: what the gears did there is not known.
    draft: bike === draft.bike ? draft : { ...without<RideEntry>(draft, 'gears'), bike },
  }),
}

const rideCondition: Field<RideEntry> = {
  name: 'condition',
  label: () => 'Conditions',
  input: { type: 'choice', options: { [NOT_SET]: 'not set', ...CONDITION_NAMES } },
  // A condition that was said later stands in an entry of its own, which a correction would leave behind.
  always: true,
  read: (_entry, { counted }) => (counted && !counted.unsure ? counted.condition : NOT_SET),
  write: (draft, text) => ({
    draft: isCondition(text) ? { ...draft, condition: text } : without<RideEntry>(draft, 'condition'),
  }),
}

/** How a ride is worded and corrected. */
export const ride: KindWords<RideEntry> = {
  name: 'ride',
  step: (count) => sayCount(count, 'ride'),
  say: ({ km, bike, condition, source }, garage, units) =>
    `${sayKm(km, units)} on ${bikeName(garage, bike)}, ${condition ? CONDITION_NAMES[condition] : 'conditions not set'}${source ? `, ${source.file}` : ''}`,
  fields: [rideBike, distanceField(0.01, RIDE_BOUNDS.km), rideCondition],
  writtenAt: { to: OPENS.addRides, label: 'Rides from files, or one by hand' },
}

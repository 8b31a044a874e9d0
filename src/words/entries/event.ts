import { OPENS } from '../places.ts'
import { EVENT_BOUNDS, type EventEntry } from '../../core/log/kinds/event.ts'
import { dayOf } from '../day.ts'
import { CONDITION_NAMES } from '../names.ts'
import { sayCount, sayKm } from '../numbers.ts'
import { conditionField, distanceField, nameField } from './fields.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How an event is worded and corrected. */
export const event: KindWords<EventEntry> = {
  name: 'event',
  step: (count) => sayCount(count, 'event'),
  say: ({ name, km, bike, condition, starts }, garage, units) =>
    `${name}, ${sayKm(km, units)} on ${bikeName(garage, bike)}, ${CONDITION_NAMES[condition]}, from ${dayOf(starts)}`,
  fields: [nameField(), distanceField(1, EVENT_BOUNDS.km), conditionField()],
  writtenAt: { to: OPENS.planEvent, label: 'An event: a tour, a race' },
}

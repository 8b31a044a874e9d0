import type { BikeEntry } from '../log/kinds/bike.ts'
import { bikeHas, type BikeHas } from './bike-has.ts'
import { ITEM_IDS, itemOf, type ItemId } from './items.ts'

/** Occasions on which a bike is checked. */
export const OCCASIONS = [
  'before-ride',
  'after-wet',
  'monthly',
  'before-winter',
  'spring',
  'after-lay-off',
  'off-trainer',
  'before-event',
  'electric',
  'second-hand',
  'hand-back',
  'short',
] as const
export type Occasion = (typeof OCCASIONS)[number]

const BOTH_ENDS = ['axle-rear', 'brake-rear', 'brake-front', 'axle-front'] as const
const BRAKES = [
  'brake-rear',
  'pads-rear',
  'rim-pads-rear',
  'brake-front',
  'pads-front',
  'rim-pads-front',
] as const
/** Not on a monthly round: they belong to a season, a journey or a service. */
const NOT_MONTHLY: readonly ItemId[] = ['grease', 'tool-bag', 'spare-link', 'block', 'tape', 'sweat']

/** What each sheet looks at; `all` is the whole bike. In the order of the round, whatever the order here. */
const SHEETS: Readonly<Record<Occasion, readonly ItemId[]>> = {
  // What is worth most in the minutes there are is picked from these.
  short: ITEM_IDS.filter((id) => id !== 'grease' && id !== 'spare-link'),
  'before-ride': [...BOTH_ENDS, 'pressure', 'chain', 'headset', 'contacts'],
  'after-wet': ['chain', ...BRAKES, 'gear-cable', 'suspension', 'contacts', 'frame', 'post'],
  monthly: ITEM_IDS.filter((id) => !NOT_MONTHLY.includes(id)),
  'before-winter': [
    'grease',
    'gear-cable',
    'brake-lines',
    'chain',
    'mudguards',
    'tyre-rear',
    'tyre-front',
    'lights',
    ...BRAKES,
    'rim-rear',
    'rim-front',
    'headset-turn',
    'post',
    'contacts',
  ],
  spring: ITEM_IDS.filter((id) => id !== 'spare-link' && id !== 'grease'),
  'after-lay-off': [
    'chain',
    'pressure',
    'sealant',
    'tyre-rear',
    'tyre-front',
    ...BRAKES,
    'gear-cable',
    'shift-battery',
    'contacts',
    'headset',
    'axle-rear',
    'axle-front',
    'suspension',
  ],
  'off-trainer': ['sweat', 'tyre-rear', 'chain', 'stem-bolts', 'headset-turn', 'axle-rear', 'tape'],
  'before-event': [
    ...BOTH_ENDS,
    ...BRAKES,
    'rotor-rear',
    'rotor-front',
    'rim-rear',
    'rim-front',
    'tyre-rear',
    'tyre-front',
    'sealant',
    'wheel-rear',
    'wheel-front',
    'pulleys',
    'hanger',
    'chain',
    'teeth',
    'gear-cable',
    'shift-battery',
    'motor',
    'contacts',
    'cranks',
    'pedals',
    'headset',
    'stem-bolts',
    'saddle',
    'frame',
    'fork',
    'bolts',
    'lights',
    'tool-bag',
    'spare-link',
    'block',
  ],
  electric: [
    'contacts',
    'motor',
    'chain',
    'teeth',
    ...BRAKES,
    'rotor-rear',
    'rotor-front',
    'lights',
    'bolts',
  ],
  'second-hand': ITEM_IDS.filter((id) => id !== 'tool-bag' && id !== 'spare-link'),
  'hand-back': [
    ...BOTH_ENDS,
    'pressure',
    'headset',
    'stem-bolts',
    'saddle',
    'pedals',
    'chain',
    'hanger',
    'indexing',
    'noises',
    'bolts',
    'block',
  ],
}

/** Whether a bike has what an item needs; what nobody entered may be there. */
const mayHave = (has: BikeHas, id: ItemId): boolean =>
  (itemOf(id).needs ?? []).every((feature) => has[feature] !== false)

/**
 * What a sheet looks at on a bike, in the order of the round: items of things that the bike has not, or that were answered "not on
 * this bike", are left out.
 * @param notHere items that were answered so
 */
export function itemsOfSheet(
  occasion: Occasion,
  bike: BikeEntry,
  notHere: ReadonlySet<ItemId> = new Set(),
): readonly ItemId[] {
  const has = bikeHas(bike)
  const wanted = new Set(SHEETS[occasion])
  return ITEM_IDS.filter((id) => wanted.has(id) && mayHave(has, id) && !notHere.has(id))
}

/** Whether a sheet makes sense for a bike at all. */
export const isForBike = (occasion: Occasion, { motor }: BikeEntry): boolean =>
  occasion !== 'electric' || motor !== 'none'

/** How long some items take, minutes. */
export const minutesOf = (items: readonly ItemId[]): number =>
  items.reduce((sum, id) => sum + itemOf(id).minutes, 0)

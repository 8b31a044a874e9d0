import type { ItemId } from '../../core/checks/items.ts'

/** What each item is called. Apart from how it is checked: every screen names items, one explains them. */
export const ITEM_NAMES: Readonly<Record<ItemId, string>> = {
  'axle-rear': 'Axle, rear',
  pressure: 'Tyre pressure',
  'tyre-rear': 'Tyre, rear',
  sealant: 'Sealant and valves',
  'wheel-rear': 'Wheel and spokes, rear',
  'hub-rear': 'Hub, rear',
  'brake-rear': 'Brake, rear',
  'pads-rear': 'Disc pads, rear',
  'rotor-rear': 'Rotor, rear',
  'rotor-bolts-rear': 'Rotor and caliper bolts, rear',
  'rim-pads-rear': 'Rim brake pads, rear',
  'rim-rear': 'Braking rim, rear',
  hanger: 'Hanger and derailleur',
  pulleys: 'Pulleys',
  chain: 'Chain: clean and lubricated',
  teeth: 'Teeth of cogs and rings',
  lockrings: 'Cassette lockring',
  freehub: 'Freehub',
  indexing: 'Shifting',
  'gear-cable': 'Gear cable and housing',
  'shift-battery': 'Shifting battery',
  saddle: 'Saddle and its clamp',
  post: 'Seat post',
  cranks: 'Cranks',
  'bottom-bracket': 'Bottom bracket',
  pedals: 'Pedals',
  'ring-bolts': 'Ring bolts',
  motor: 'Motor mounts and covers',
  contacts: 'Battery and contacts',
  frame: 'Frame',
  headset: 'Headset play',
  'headset-turn': 'Headset turning',
  'stem-bolts': 'Stem and bar bolts',
  levers: 'Levers on the bar',
  'brake-lines': 'Brake cables or hoses',
  sweat: 'Sweat under bars and stem',
  tape: 'Bar tape or grips',
  fork: 'Fork',
  suspension: 'Suspension',
  'brake-front': 'Brake, front',
  'pads-front': 'Disc pads, front',
  'rotor-front': 'Rotor, front',
  'rotor-bolts-front': 'Rotor and caliper bolts, front',
  'rim-pads-front': 'Rim brake pads, front',
  'rim-front': 'Braking rim, front',
  'wheel-front': 'Wheel and spokes, front',
  'hub-front': 'Hub, front',
  'tyre-front': 'Tyre, front',
  'axle-front': 'Axle, front',
  bolts: 'Every bolt',
  noises: 'Noises',
  lights: 'Lights and bell',
  mudguards: 'Mudguards and racks',
  grease: 'Grease against water',
  'tool-bag': 'Tool bag',
  'spare-link': 'Spare joining link',
  block: 'Once round the block',
}

const lower = (name: string): string => `${name.slice(0, 1).toLowerCase()}${name.slice(1)}`

/** What an item is called within a sentence: "rear brake", "frame". */
export function sayItem(item: ItemId): string {
  const name = ITEM_NAMES[item]
  const side = /^(.*), (rear|front)$/.exec(name)
  return side ? `${side[2] ?? ''} ${lower(side[1] ?? '')}` : lower(name)
}

import type { NoiseCause, ShiftCause } from '../../core/faults/causes.ts'

/** What can be behind a slip or a skip, as it stands in a list and in a sentence. */
export const CAUSE_NAMES: Readonly<Record<ShiftCause, string>> = {
  'cable-tension': 'cable tension, indexing',
  'cable-friction': 'a cable that drags',
  'bent-hanger': 'a bent hanger or derailleur',
  'limit-screws': 'limit screws',
  'b-gap': 'the gap between pulley and cogs',
  'worn-chain': 'a worn chain',
  'worn-cogs': 'worn cogs',
  'worn-ring': 'a worn ring',
  'stiff-link': 'a stiff or damaged link',
  'cage-routing': 'a chain on the wrong side of the cage tab',
  'chain-length': 'a chain of the wrong length',
  'mismatched-parts': 'parts that do not belong together',
  'broken-tooth': 'a bent or broken tooth',
  'loose-pulley': 'a loose or worn pulley',
  'loose-lockring': 'a loose cassette lockring',
  freehub: 'the freehub',
  'frame-flex': 'a frame that bends under the push',
  electronics: 'a weak battery or a bad contact',
  'dry-chain': 'a chain without lube',
}

/** Where a noise can come from. */
export const NOISE_NAMES: Readonly<Record<NoiseCause, string>> = {
  saddle: 'saddle rails and clamp',
  'seat-post': 'seat post',
  pedals: 'pedals',
  cranks: 'crank and ring bolts',
  'bottom-bracket': 'bottom bracket',
  headset: 'headset',
  stem: 'bars and stem',
  hanger: 'derailleur hanger',
  'dry-chain': 'a chain without lube',
  rotor: 'a rotor that rubs',
  pads: 'brake pads',
  lockring: 'lockring of cassette or rotor',
  spokes: 'spokes',
  axle: 'axle or quick release',
}

/** Any cause by its name. */
export const sayCause = (cause: ShiftCause | NoiseCause): string =>
  cause in CAUSE_NAMES ? CAUSE_NAMES[cause as ShiftCause] : NOISE_NAMES[cause as NoiseCause]

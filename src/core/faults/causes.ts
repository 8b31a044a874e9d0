/** What can be behind a slip, a skip or a shift that fails. Stored in the log by these names: they are for ever. */
export const SHIFT_CAUSES = [
  'cable-tension',
  'cable-friction',
  'bent-hanger',
  'limit-screws',
  'b-gap',
  'worn-chain',
  'worn-cogs',
  'worn-ring',
  'stiff-link',
  'cage-routing',
  'chain-length',
  'mismatched-parts',
  'broken-tooth',
  'loose-pulley',
  'loose-lockring',
  'freehub',
  'frame-flex',
  'electronics',
  'dry-chain',
] as const
export type ShiftCause = (typeof SHIFT_CAUSES)[number]

/** Where a noise can come from. Stored by these names, too. */
export const NOISE_CAUSES = [
  'saddle',
  'seat-post',
  'pedals',
  'cranks',
  'bottom-bracket',
  'headset',
  'stem',
  'hanger',
  'dry-chain',
  'rotor',
  'pads',
  'lockring',
  'spokes',
  'axle',
] as const
export type NoiseCause = (typeof NOISE_CAUSES)[number]

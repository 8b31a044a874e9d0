export const LUBES = ['dry-lube', 'wet-lube', 'drip-wax', 'immersion-wax', 'none'] as const
/** What is on the chain; `none` is dry or rusty. */
export type Lube = (typeof LUBES)[number]

/**
 * Life of one application in dry-road kilometres (methods 6). A guess; `none` has no life to use up.
 */
export const LUBE_LIFE_KM: Readonly<Record<Lube, number>> = {
  'dry-lube': 150,
  'wet-lube': 250,
  'drip-wax': 300,
  'immersion-wax': 400,
  none: 0,
}

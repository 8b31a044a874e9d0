/** Surface and wetness of a ride, in the terms of the wear multipliers. */
export const CONDITIONS = [
  'dry-road',
  'wet-road',
  'winter-salt',
  'dry-gravel',
  'wet-gravel',
  'mud',
  'indoor',
] as const
export type Condition = (typeof CONDITIONS)[number]

/** Default wear multipliers (methods 3). A guess; dry road is the unit. */
export const CONDITION_MULTIPLIER: Readonly<Record<Condition, number>> = {
  'dry-road': 1,
  'wet-road': 2,
  'winter-salt': 3,
  'dry-gravel': 1.6,
  'wet-gravel': 3.5,
  mud: 4,
  indoor: 0.7,
}

/** Whether a ride in this left the chain wet: it is to be dried the same day. */
export function isWet(condition: Condition): boolean {
  return (
    condition === 'wet-road' ||
    condition === 'winter-salt' ||
    condition === 'wet-gravel' ||
    condition === 'mud'
  )
}

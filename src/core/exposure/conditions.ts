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

/** Parts of the year, by their months, so that both halves of the earth can use them. */
export const QUARTERS = ['dec-feb', 'mar-may', 'jun-aug', 'sep-nov'] as const
export type Quarter = (typeof QUARTERS)[number]

/** The part of the year that a moment falls in, by its UTC month. */
export const quarterOf = (at: string): Quarter =>
  QUARTERS[Math.floor((Number(at.slice(5, 7)) % 12) / 3)] ?? 'dec-feb'

/** What a bike's rides are taken to be at a time of year where no condition is set. */
export function usualAt(
  bike: {
    readonly usualCondition: Condition
    readonly usualByQuarter?: Readonly<Partial<Record<Quarter, Condition>>>
  },
  at: string,
): Condition {
  return bike.usualByQuarter?.[quarterOf(at)] ?? bike.usualCondition
}

/**
 * Spread, as a standard deviation of the logarithm, of the multiplier of rides whose condition is not set: a
 * dry road may have been wet or salted. Ours, a guess.
 */
export const UNSURE_LOG_SD = 0.5

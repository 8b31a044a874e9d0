/** Speed in a development at a cadence, km/h. @param developmentM metres a crank turn @param rpm crank turns a minute */
export const speedAt = (developmentM: number, rpm: number): number => (developmentM * rpm * 60) / 1000

export interface Gear {
  readonly ratio: number
  /** Distance per crank turn, m. */
  readonly developmentM: number
  readonly speedKmh: number
}

/**
 * One gear (methods 10): development = wheel circumference x ring / cog; speed = development x cadence.
 * @param circumferenceMm over 0
 * @param ring teeth, over 0
 * @param cog teeth, over 0
 * @param cadence crank turns per minute, 0 or more
 * @throws RangeError outside these ranges
 */
export function gear(circumferenceMm: number, ring: number, cog: number, cadence: number): Gear {
  if (!(circumferenceMm > 0)) throw new RangeError('The wheel circumference must be over 0 mm.')
  if (!(ring > 0) || !(cog > 0)) throw new RangeError('A ring or cog has at least one tooth.')
  if (!(cadence >= 0)) throw new RangeError('Cadence must be 0 or more.')
  const ratio = ring / cog
  const developmentM = (circumferenceMm / 1000) * ratio
  return { ratio, developmentM, speedKmh: speedAt(developmentM, cadence) }
}

/**
 * Crank turns that bring the chain once round: links over ring teeth (methods 7).
 * @example crankTurnsPerChain(116, 40) // 2.9
 */
export const crankTurnsPerChain = (links: number, ring: number): number => links / ring

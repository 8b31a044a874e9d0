/** Kilometres in one international mile, exact by definition. */
export const KM_PER_MILE = 1.609344
/** Millimetres in one inch, exact by definition. */
export const MM_PER_INCH = 25.4

/**
 * Kilometres to miles.
 * @example kmToMiles(1.609344) // 1
 */
export const kmToMiles = (km: number): number => km / KM_PER_MILE

/** Miles to kilometres; the inverse of {@link kmToMiles}. */
export const milesToKm = (miles: number): number => miles * KM_PER_MILE

/** Inches to millimetres; the inverse of {@link mmToInches}. */
export const inchesToMm = (inches: number): number => inches * MM_PER_INCH

/**
 * Millimetres to inches.
 * @example mmToInches(304.8) // 12
 */
export const mmToInches = (mm: number): number => mm / MM_PER_INCH

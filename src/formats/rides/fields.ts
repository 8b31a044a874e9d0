/** A number out of a file's field that is one; undefined where it is NaN or beyond all bounds. */
export const finite = (value: number): number | undefined => (Number.isFinite(value) ? value : undefined)

/** A number that cannot be below nothing: a negative cadence or power is a fault of the sensor and is left out. */
export const amount = (value: number): number | undefined =>
  Number.isFinite(value) && value >= 0 ? value : undefined

/** Seconds since 1970 of a time written as ISO 8601 has it. NaN where it is none. */
export const secondsOf = (text: string): number => Date.parse(text) / 1000

/** Degrees up to so many; NaN where they are none. */
export const degrees = (value: number, most: number): number => (Math.abs(value) <= most ? value : NaN)

/**
 * What is to be done, as marks about a middle of 0, 0: the same on every drawing, on canvas and in SVG. Told apart by
 * shape before colour.
 */
export const DUE_MARKS = {
  /** The tips of a caliper, closed on a chain. */
  look: 'M-5 -7V4M5 -7V4M-5 0H5',
  /** A drop. */
  lube: 'M0 -7C3.4 -2.4 5 0 5 2.2A5 5 0 0 1 -5 2.2C-5 0 -3.4 -2.4 0 -7Z',
  /** A slip of paper. */
  advice: 'M-4 -6H4V6H-4ZM-2 -2.5H2M-2 1H2',
  /** Where the fan meets the limit. */
  swap: 'M-4.6 0A4.6 4.6 0 1 0 4.6 0A4.6 4.6 0 1 0 -4.6 0Z',
} as const

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
  /** A tick: something is looked at. */
  check: 'M-6 0L-2 5L6 -6',
  /** A spanner's jaw: something is seen to. */
  finding: 'M-5 -6V0L0 4L5 0V-6M0 4V8',
  /** A pad on its plate. */
  wearing: 'M-6 -5H6V-2H-6ZM-4 0H4V5H-4Z',
} as const

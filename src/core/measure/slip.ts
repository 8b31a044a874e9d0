import type { Evidence } from './likelihood.ts'
import type { Instrument, Reading, TakenReading } from './reading.ts'

/** How a reading may be a slip: a digit or a pitch misread, a mark mistaken. */
export interface Slip {
  /** Chance that it is one, before it is known. */
  readonly chance: number
  /** Chance of one like this: for a figure as a multiple of the height of its normal density, for an answer as it is. */
  readonly share: number
}

export const NO_SLIP: Slip = { chance: 0, share: 0 }

/** Three readings in a hundred. A guess. */
const SLIP_CHANCE = 0.03

/**
 * Over how many % a slip may land, each place alike: for lengths about what the forms take without asking back, for
 * scales what is printed on them.
 */
const SLIP_OVER: Readonly<Partial<Record<Instrument, number>>> = {
  rule: 2,
  strip: 2,
  'caliper-pair': 2,
  'two-contact-scale': 1.2,
  'three-contact-scale': 1.2,
}

/** Of a limit side's or a hint's three answers a slip gives each alike; "not in" is two of them. */
const answersOf = (reading: Reading): number =>
  'result' in reading && reading.result === 'not-in' ? 2 / 3 : 1 / 3

/**
 * How a reading may be a slip: figures spread evenly over the instrument's range, answers each alike; one that its rider is
 * sure of is none.
 */
export function slipOf({ reading, isSure }: TakenReading, { form, sd }: Evidence): Slip {
  if (isSure) return NO_SLIP
  const over = SLIP_OVER[reading.instrument]
  return {
    chance: SLIP_CHANCE,
    share:
      form === 'value' && over !== undefined
        ? (SLIP_CHANCE * sd * Math.sqrt(2 * Math.PI)) / over
        : SLIP_CHANCE * answersOf(reading),
  }
}

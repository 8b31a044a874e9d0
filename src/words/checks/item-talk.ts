import type { BikeHas, Feature } from '../../core/checks/bike-has.ts'

/** Drawings of how something is tested. */
export type CheckDrawing =
  | 'pad'
  | 'rotor'
  | 'rim-pad'
  | 'tyre'
  | 'release'
  | 'thumb'
  | 'headset'
  | 'caliper'
  | 'crank'
  | 'lever'
  | 'rim'
  | 'bolts'

/** A line of what to do: for every bike, or only for those that have something. */
export type HowLine = string | { readonly needs: Feature; readonly say: string }

/** How an item is checked, in words. */
export interface ItemWords {
  /** In this order; a line that is only for bikes with something names it. */
  readonly how: readonly HowLine[]
  /** What passes, in figures where there are some. */
  readonly passes: string
  /** What to do if it fails. */
  readonly fails: string
  /** What can go wrong while it is done. */
  readonly care?: string
  readonly drawing?: CheckDrawing
  /** Another station that does this better. */
  readonly goOn?: { readonly to: string; readonly label: string }
}

/** What to do on a bike: lines for what it has not are left out; what nobody entered may be there. */
export const howOn = (how: readonly HowLine[], has: BikeHas): readonly string[] =>
  how.flatMap((line) => (typeof line === 'string' ? line : has[line.needs] === false ? [] : line.say))

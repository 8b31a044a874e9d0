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

/** How an item is checked, in words. */
export interface ItemWords {
  readonly how: readonly string[]
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

import type { SprocketMaterial } from '../../log/kinds/part.ts'
import { followRate, loadOf } from '../../teeth/conform.ts'
import { skipMargin } from '../../teeth/skip.ts'

/** A cog and its part of the work. */
export interface CogShare {
  readonly teeth: number
  /** Of the energy; any scale, the set's sum makes one. */
  readonly share: number
  readonly material: SprocketMaterial
}

/** A set of cogs laid out as numbers, in their order. */
export interface CogSet {
  readonly count: number
  /** What one bears over an even share, by tooth (methods 5). */
  readonly load: Float64Array
  readonly follow: Float64Array
  /** Share of the energy; they sum to 1. */
  readonly share: Float64Array
  /** How far its teeth may be ahead of a chain before it skips, %. */
  readonly margin: Float64Array
}

/** @throws RangeError where there is no cog, or none does any work */
export function cogSet(cogs: readonly CogShare[]): CogSet {
  const sum = cogs.reduce((all, { share }) => all + share, 0)
  if (!(sum > 0))
    throw new RangeError('The cogs have no share of the work: give at least one a share over 0.')
  const teeth = cogs.map((cog) => cog.teeth)
  return {
    count: cogs.length,
    load: Float64Array.from(cogs, ({ share, teeth: own }) => loadOf(share / sum, own, teeth)),
    follow: Float64Array.from(cogs, ({ material }) => followRate('cog', material)),
    share: Float64Array.from(cogs, ({ share }) => share / sum),
    margin: Float64Array.from(teeth, skipMargin),
  }
}

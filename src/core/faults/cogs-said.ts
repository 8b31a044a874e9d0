/** Tapped on so many of all, it is all of them: nobody tries every one. Ours. */
const NEARLY_ALL = 0.75

/** Which cogs a fault happens on, as the network asks it. */
export type CogsSaid = 'one' | 'small' | 'large' | 'all'

/**
 * Which cogs a fault happens on, from those that were tapped: one; most; or those of one half of the cassette.
 * @param tapped tooth counts; those that the bike does not have are passed over
 * @param all the bike's cogs, smallest first
 * @returns undefined where none of the bike's was tapped
 */
export function cogsSaid(tapped: readonly number[], all: readonly number[]): CogsSaid | undefined {
  const at = all.flatMap((cog, i) => (tapped.includes(cog) ? i : []))
  if (at.length === 0) return undefined
  if (at.length === 1) return all.length === 1 ? 'all' : 'one'
  if (at.length >= NEARLY_ALL * all.length) return 'all'
  const middle = (all.length - 1) / 2
  if (at.every((i) => i <= middle)) return 'small'
  return at.every((i) => i >= middle) ? 'large' : 'all'
}

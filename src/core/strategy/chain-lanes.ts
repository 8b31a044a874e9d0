/** A chain's turns on one bike, km along its road, in order. */
export interface ChainTurns {
  /** What to call it by; any value that tells chains apart. */
  readonly chain: number
  readonly turns: readonly { readonly from: number; readonly to: number }[]
}

/**
 * Whether a bike's chains take turns: so many hand-overs that a line at each would make a fence. Chains that follow one
 * another, each worn out before the next, have one turn each.
 */
export const takeTurns = (chains: readonly ChainTurns[]): boolean => {
  const used = chains.filter(({ turns }) => turns.length > 0)
  const turns = used.reduce((sum, one) => sum + one.turns.length, 0)
  return used.length > 1 && turns > 2 * used.length
}

/**
 * Lays chains that take turns out on lanes: those in use over the same stretch of road lie on different lanes, and a chain
 * that takes a worn one's place goes on in its lane. As few lanes as there are chains in use at once.
 * @param chains in any order; those without a turn are left out
 * @returns lanes from the first to the last, each with its chains in order along the road
 */
export function chainLanes(chains: readonly ChainTurns[]): readonly (readonly ChainTurns[])[] {
  const lives = chains
    .flatMap((one) => {
      const [first] = one.turns
      const last = one.turns.at(-1)
      return first && last ? [{ one, from: first.from, to: last.to }] : []
    })
    .sort((a, b) => a.from - b.from || a.to - b.to)
  const lanes: { end: number; held: ChainTurns[] }[] = []
  for (const { one, from, to } of lives) {
    const free = lanes.filter(({ end }) => end <= from + 1e-9)
    // The lane that became free last: the chain that was just worn out is the one replaced.
    const lane = free.sort((a, b) => b.end - a.end)[0]
    if (lane) {
      lane.held.push(one)
      lane.end = to
    } else lanes.push({ end: to, held: [one] })
  }
  return lanes.map(({ held }) => held)
}

import { evenlySpaced } from '../stats/resample.ts'
import type { Random } from '../stats/random.ts'
import type { ChainDraws, RiderDraws } from './draws.ts'
import { weightsUnder, type Kind, type Way } from './ways-to-look.ts'

/** What is drawn of one chain, whichever draws of the rider it goes with. */
export interface DrawnChain {
  readonly draws: RiderDraws
  readonly own: ChainDraws
  /** Wear-km behind it, by draw. */
  readonly gone: Float64Array
}

/** A chain about which a question is open. */
export interface ChainInDoubt extends DrawnChain {
  /** Which of the possibilities, by draw. */
  readonly which: Float64Array
}

/** What may lie behind an odd look, and how likely that is. */
export interface Possibility {
  readonly kind: Kind
  readonly p: number
}

/** So many draws of a chain while a question about it is open. */
const DRAWN = 1200

/** Of some ways as many as asked for, each as often as its weight has it. */
const resampled = (ways: readonly Way[], kind: Kind, count: number, random: Random): Way[] =>
  Array.from(evenlySpaced(weightsUnder(ways, kind), count, random.unit())).flatMap((i) => ways[i] ?? [])

/**
 * A chain as it is believed to be while the question about it is open: every possibility as often as it is likely, and in
 * each the ways that foretell best what was read.
 */
export function drawnInDoubt(
  draws: RiderDraws,
  ways: readonly Way[],
  possibilities: readonly Possibility[],
  random: Random,
): ChainInDoubt {
  const total = possibilities.reduce((sum, { p }) => sum + p, 0)
  const states = possibilities.flatMap(({ kind, p }, which) =>
    resampled(ways, kind, Math.round((DRAWN * p) / total), random).map(({ n, states: of }) => ({
      n,
      which,
      ...of[kind],
    })),
  )
  const pick = (values: Float64Array) => Float64Array.from(states, ({ n }) => values[n] ?? 0)
  return {
    draws: {
      ...draws,
      count: states.length,
      kinds: states.map(({ n }) => draws.kinds[n] ?? new Float64Array(0)),
      rider: pick(draws.rider),
      beta: pick(draws.beta),
      lateTimes: pick(draws.lateTimes),
      lateFrom: pick(draws.lateFrom),
      times: draws.times.map(pick),
      offsets: draws.offsets.map(pick),
    },
    own: {
      rate: Float64Array.from(states, ({ rate }) => rate),
      start: Float64Array.from(states, ({ start }) => start),
    },
    gone: Float64Array.from(states, ({ wearKm }) => wearKm),
    which: Float64Array.from(states, ({ which }) => which),
  }
}

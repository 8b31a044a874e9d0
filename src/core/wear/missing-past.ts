import { evidenceOf } from '../measure/likelihood.ts'
import { biasOf } from '../measure/instrument-likelihood.ts'
import { RATE_MEDIAN, rateBelief } from './rate-grid.ts'
import type { RiderChain } from './rider-model.ts'
import { defaultWearKm, type RoadPiece } from '../exposure/roads.ts'

/** A rate this many times the usual one is rare enough to look into. */
const RARE_TIMES = 3

const wearOf = (road: readonly RoadPiece[]): number =>
  road.reduce((sum, piece) => sum + defaultWearKm(piece), 0)

/** Whether some reading, taken at its least, is more than even a fast-wearing chain could have come to. */
function isOdd({ readings }: RiderChain): boolean {
  return readings.some((taken) => {
    const evidence = evidenceOf(taken.reading, taken.noise)
    const bias = biasOf(taken)
    const value = evidence.form === 'value' ? evidence.value : evidence.low
    const least = value - bias.b - 2 * Math.hypot(evidence.sd, bias.sb)
    return least > RARE_TIMES * RATE_MEDIAN * (wearOf(taken.road) / 1000)
  })
}

/**
 * Chance that the log does not tell the whole past of a chain fitted new: rides or a swap not written down. By the
 * chain's own grid, which weighs it against a chain that merely wears fast; 0 where nothing suggests it.
 */
export function missingPastChance(chain: RiderChain): number {
  if (chain.past !== 'new' || chain.readings.length === 0 || !isOdd(chain)) return 0
  return rateBelief(
    'new',
    chain.readings.map(({ road, ...taken }) => ({ ...taken, wearKm: wearOf(road) })),
  ).missingPast
}

import type { Garage } from '../../log/garage.ts'
import { biasOf } from '../../measure/instrument-likelihood.ts'
import { evidenceOf } from '../../measure/likelihood.ts'
import { chainsOfRoad, type BikeReport } from '../facts/bike-report.ts'
import type { ChainFacts } from '../facts/chain-facts.ts'

/** How an owner looks at a bike's chain and acts on it. */
export interface OwnerHabits {
  /** The owner means to look every so many km. */
  readonly lookKm: number
  /** Share of those looks that are forgotten. */
  readonly forgotten: number
  /** Share of looks past the limit after which nothing is done until the next one. */
  readonly late: number
  /** Looks in the log that this rests on. */
  readonly looks: number
}

/** Where nothing is known of how often an owner looks, km; and no nearer and no further apart than this. */
const [USUAL_LOOK_KM, LEAST_LOOK_KM, MOST_LOOK_KM] = [500, 150, 2000] as const
/** Where the log tells nothing: shares, and how many looks such a guess is worth beside the log's own. */
const GUESS = { forgotten: 0.15, late: 0.2, worth: 6 } as const
/** So many looks tell how often an owner looks. */
const TELLING_LOOKS = 3

const middle = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN

/** Where on a chain's road its looks were, km from its first. */
const kmOfLooks = ({ looks, story }: ChainFacts): readonly number[] =>
  looks.flatMap((look) => {
    const last = look.at(-1)
    return last ? [story.at(last.entry.at).km] : []
  })

/** Whether a look said that the chain is past a limit, %: by any of its readings, each by itself. */
function saidPast(look: ChainFacts['looks'][number], limit: number): boolean {
  return look.some(({ entry: { reading, tool } }) => {
    const evidence = evidenceOf(reading)
    if (evidence.form === 'value')
      return evidence.value - biasOf({ reading, ...(tool !== undefined && { tool }) }).b >= limit
    return reading.instrument.endsWith('-limit') && evidence.low >= limit
  })
}

/**
 * How the owner of a bike looks and acts, by its log; beside a guess that counts for less the more looks there are.
 */
export function ownerHabits(garage: Garage, report: BikeReport): OwnerHabits {
  const chains = chainsOfRoad(garage, report)
  const gaps = chains.flatMap((chain) => {
    const at = kmOfLooks(chain)
    return at.map((km, i) => km - (at[i - 1] ?? 0)).filter((km) => km > 0)
  })
  const isTold = gaps.length >= TELLING_LOOKS
  const lookKm = isTold ? Math.min(MOST_LOOK_KM, Math.max(LEAST_LOOK_KM, middle(gaps))) : USUAL_LOOK_KM
  // A gap of twice the usual one is a look that was forgotten, one of three times two.
  const due = isTold ? gaps.map((km) => Math.max(1, Math.round(km / lookKm))) : []
  const missed = due.reduce((sum, count) => sum + count - 1, 0)
  const all = due.reduce((sum, count) => sum + count, 0)
  const past = chains.flatMap(({ looks }) =>
    looks.flatMap((look, i) =>
      saidPast(look, report.limit.percent) ? [{ isLate: looks[i + 1] !== undefined }] : [],
    ),
  )
  const late = past.filter(({ isLate }) => isLate).length
  return {
    lookKm,
    forgotten: (GUESS.forgotten * GUESS.worth + missed) / (GUESS.worth + all),
    late: (GUESS.late * GUESS.worth + late) / (GUESS.worth + past.length),
    looks: gaps.length,
  }
}

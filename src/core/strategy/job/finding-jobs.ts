import { itemOf, type ItemId } from '../../checks/items.ts'
import type { VisitJob } from '../../log/kinds/visit.ts'
import type { OpenFinding } from '../facts/check-facts.ts'
import { jobOfItem } from '../facts/item-jobs.ts'

/** A finding as a job: the words are the screen's, the price in euro cents. */
export interface FindingJob extends Pick<
  VisitJob,
  'id' | 'isSafety' | 'minutes' | 'worth' | 'byKm' | 'byDay'
> {
  readonly item: ItemId
  readonly note?: string
  /** It was only to be watched, and is due to be looked at again. */
  readonly isWatched?: true
  readonly cents: number
}

/** Minutes of a repair that has no figure of its own; what is as harmful as this is a matter of safety. Ours. */
const USUAL_MINUTES = 10
const SAFETY_HARM = 8
/** What a harm of one is worth beside a new chain, which is worth 20. Ours. */
const WORTH_PER_HARM = 1.6

/** What was found at the checks and is to be mended, as jobs of a visit: what is only watched is none yet. */
export const findingJobs = (findings: readonly OpenFinding[]): readonly FindingJob[] =>
  findings
    .filter(({ check: { result }, isDue }) => result === 'fail' || isDue)
    .map(({ check: { item, result, act, note, byKm, byDay } }) => {
      const { harm, mend: [minutes, cents] = [USUAL_MINUTES, 0] } = itemOf(item)
      return {
        id: jobOfItem(item),
        item,
        isSafety: act === 'stop' || act === 'mechanic' || harm >= SAFETY_HARM,
        minutes,
        cents,
        worth: Math.round(WORTH_PER_HARM * harm),
        ...(note !== undefined && { note }),
        ...(result === 'watch' && { isWatched: true as const }),
        ...(byKm !== undefined && { byKm }),
        ...(byDay !== undefined && { byDay }),
      }
    })

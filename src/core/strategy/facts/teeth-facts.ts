import type { PartId } from '../../log/entry.ts'
import { skipChance } from '../../teeth/skipping.ts'
import type { TeethOutlook } from '../../teeth/teeth-outlook.ts'
import type { BikeReport } from './bike-report.ts'

/** A cog and how likely a chain skips on it under a hard push. */
export interface CogRisk {
  readonly part: PartId
  readonly teeth: number
  /** It can be bought by itself. */
  readonly soldSingly: boolean
  /** With a fresh chain, and with the one that is on; the second absent without one. */
  readonly fresh: number
  readonly now?: number
  /** With the chain that was asked about; absent where none was. */
  readonly asked?: number
}

/** A chance that a chain skips which is worth a word, and one that settles it. Ours, a judgement. */
export const SKIP_DOUBTFUL = 0.2
export const SKIP_LIKELY = 0.5

/**
 * The cogs on a bike, smallest first, and the risks on each.
 * @param chainAsked another of the rider's chains that has been ridden, as it is now
 */
export function cogRisks(
  { sprockets, chain }: BikeReport,
  teeth: TeethOutlook,
  chainAsked?: PartId,
): readonly CogRisk[] {
  const on = teeth.chains[chain?.part.entry.part ?? '']
  const other = teeth.chains[chainAsked ?? '']
  return sprockets.flatMap(({ role, part, teeth: count }): CogRisk[] => {
    const { spec } = part.entry
    const outlook = teeth.sets[part.entry.part]?.sprockets.find((one) => one.teeth === count)
    if (role !== 'cog' || spec.type !== 'cassette' || !outlook) return []
    return [
      {
        part: part.entry.part,
        teeth: count,
        soldSingly: spec.soldSingly?.includes(count) ?? false,
        fresh: skipChance(outlook, teeth),
        ...(on && { now: skipChance(outlook, teeth, on) }),
        ...(other && { asked: skipChance(outlook, teeth, other) }),
      },
    ]
  })
}

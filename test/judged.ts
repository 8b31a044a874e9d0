import type { EntryDraft } from '../src/core/log/entries.ts'
import { replay } from '../src/core/log/replay.ts'
import { bikeReport, type BikeReport } from '../src/core/strategy/facts/bike-report.ts'
import { factsOf, type Facts } from '../src/core/strategy/facts/facts.ts'
import { verdictOf, type Verdict } from '../src/core/strategy/verdict.ts'
import { lengthAtElongation } from '../src/core/measure/elongation.ts'
import { caliperReadings, commuter, noon, written } from './log.ts'
import { answerOf } from './outlook.ts'

/** The day on which the logs below are judged. */
export const JUDGED_AT = noon(4, 1)

/** What was put on the chain the day before. */
export const LUBED: EntryDraft = {
  kind: 'wash',
  at: noon(3, 31),
  chain: 'chain',
  method: 'wipe',
  lube: 'wet-lube',
}
/** The same, but long ago. */
export const LUBED_LONG_AGO: EntryDraft = { ...LUBED, at: noon(1, 1) }
/** A look with a caliper two days before. */
export const measuredAt = (percent: number, times = 4): EntryDraft[] => caliperReadings(3, 30, percent, times)
/** A look with a rule two days before. */
export const ruledAt = (percent: number): EntryDraft => ({
  kind: 'reading',
  at: noon(3, 30),
  chain: 'chain',
  reading: { instrument: 'rule', pitches: 24, lengthMm: lengthAtElongation(24, percent) },
})
/** The commuter, its chain found on it used. */
export const OF_UNKNOWN_PAST: readonly EntryDraft[] = commuter.map((draft) =>
  draft.kind === 'part' && draft.spec.type === 'chain'
    ? { ...draft, spec: { ...draft.spec, past: 'unknown' } }
    : draft,
)
/** How a cog looked. */
export const cogLooked = (word: 'good' | 'swap' | 'spent'): EntryDraft => ({
  kind: 'look',
  at: noon(3, 1),
  part: 'cassette',
  cog: 15,
  word,
})

/** What the log says of the commuter. */
export function reportOn(drafts: readonly EntryDraft[], at = JUDGED_AT): BikeReport {
  const garage = replay(written(drafts))
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('the garage has lost its bike')
  return bikeReport(garage, bike, at)
}

/** All that a rule may go by, with the chain worked out. */
export function factsOn(drafts: readonly EntryDraft[], at = JUDGED_AT): Facts {
  const report = reportOn(drafts, at)
  return factsOf(report, answerOf(replay(written(drafts)), at, report.chain?.part.entry.part), undefined)
}

/** The verdict on the commuter. */
export function verdictOn(drafts: readonly EntryDraft[], at = JUDGED_AT): Verdict {
  const { report, answer } = factsOn(drafts, at)
  const verdict = verdictOf(report, answer)
  if (!verdict) throw new Error('no verdict was given')
  return verdict
}

import type { LeftWhy } from '../core/strategy/job/job-choice.ts'
import type { DrivetrainJob, ProposedJob } from '../core/strategy/job/job-options.ts'
import type { FindingJob } from '../core/strategy/job/finding-jobs.ts'
import type { Verdict } from '../core/strategy/verdict.ts'
import type { VisitJob } from '../core/log/kinds/visit.ts'
import type { IsoTime } from '../core/log/entry.ts'
import type { Units } from '../core/units/units.ts'
import { ITEM_NAMES } from './checks/item-names.ts'
import { sayCogs } from './advice.ts'
import { sayExactMoney } from './money.ts'
import { sayAboutKm, sayDay, sayList } from './numbers.ts'

/** What each job on the drivetrain is called. */
export const JOB_NAMES: Readonly<Record<DrivetrainJob, string>> = {
  chain: 'New chain',
  cassette: 'New cassette',
  'single-cogs': 'New single cogs',
  ring: 'New ring',
  pulleys: 'New pulleys',
  derailleur: 'Whole rear derailleur',
  'joining-link': 'New joining link',
  'bad-links': 'Mend the bad links',
  lube: 'Clean and lube',
}

/** Usual findings of a mechanic beyond the drivetrain: what each is worth, takes and costs is a guess to be changed. */
export const COMMON_JOBS: readonly (Pick<VisitJob, 'id' | 'name' | 'isSafety' | 'minutes' | 'worth'> & {
  /** Cents. */
  readonly cents: number
})[] = [
  { id: 'brake-pads', name: 'Brake pads', isSafety: true, minutes: 20, worth: 12, cents: 1500 },
  { id: 'brake-cable', name: 'Brake cable', isSafety: true, minutes: 25, worth: 12, cents: 800 },
  { id: 'tyre', name: 'Tyre', isSafety: true, minutes: 15, worth: 12, cents: 2800 },
  { id: 'spokes', name: 'Spokes and wheel true', isSafety: true, minutes: 30, worth: 9, cents: 300 },
  { id: 'headset', name: 'Headset adjusted', isSafety: true, minutes: 15, worth: 9, cents: 0 },
  { id: 'gear-cable', name: 'Gear cable and indexing', isSafety: false, minutes: 25, worth: 6, cents: 700 },
  { id: 'bottom-bracket', name: 'Bottom bracket', isSafety: false, minutes: 40, worth: 6, cents: 2500 },
  { id: 'bar-tape', name: 'Bar tape or grips', isSafety: false, minutes: 20, worth: 2, cents: 1500 },
]

/** What was found that asks for a job, in a sentence for the owner. */
export function sayFound({ id, cogs = [] }: ProposedJob, verdict: Verdict): string {
  const isDue = verdict.action === 'swap-chain' || verdict.action === 'swap-chain-and-cogs'
  switch (id) {
    case 'chain':
      return isDue
        ? 'The chain is longer than it should be. It wears out the cogs and the ring.'
        : 'The chain is near its limit.'
    case 'cassette':
    case 'single-cogs':
      return cogs.length > 0
        ? `A new chain will probably skip on ${sayCogs(cogs)}.`
        : 'The cogs have worn together with the chain. A new chain will probably skip on them.'
    case 'ring':
      return 'The teeth of the ring are worn.'
    case 'pulleys':
      return 'The teeth of the pulleys are worn.'
    case 'derailleur':
      return 'Instead of the pulleys, where they cannot be had.'
    case 'joining-link':
      return 'The joining link has been closed as often as it may be.'
    case 'bad-links':
      return 'Some links of the chain are bad.'
    case 'lube':
      return 'The lube on the chain is used up.'
  }
}

/** A finding of a check as a job of the list. @param price of its parts, minor units */
export const jobOfFinding = (
  { item, note, isWatched, cents: _cents, ...job }: FindingJob,
  price: number,
): VisitJob => ({
  ...job,
  name: ITEM_NAMES[item],
  found: [isWatched ? 'To be looked at again.' : 'Failed the check.', note].filter(Boolean).join(' '),
  price,
  outcome: 'open',
})

/** Why a job is left out, in a sentence. */
export function sayLeft(why: LeftWhy, nameOf: (id: string) => string, currency: string): string {
  switch (why.kind) {
    case 'out':
      return 'A part for it cannot be had now.'
    case 'instead':
      return `In its place: ${nameOf(why.id).toLowerCase()}.`
    case 'needs':
      return `Makes no sense without: ${sayList(why.ids.map((id) => nameOf(id).toLowerCase()))}.`
    case 'sum':
      return `More than the sum: it fits from ${sayExactMoney(why.from, currency)} on.`
    case 'worth':
      return 'Something worth more takes its place, whatever the sum.'
  }
}

/** By when advice should be seen to: "within 400 km, by 3 March". */
export function sayBy(
  { byKm, byDay, isSafety }: Pick<VisitJob, 'byKm' | 'byDay' | 'isSafety'>,
  units: Units,
  now: IsoTime,
): string {
  const parts = [
    byKm !== undefined && `within ${sayAboutKm(byKm, units)}`,
    byDay !== undefined && `by ${sayDay(byDay, now)}`,
  ].filter((part) => part !== false)
  if (parts.length > 0) return parts.join(', ')
  return isSafety ? 'before it is ridden' : 'at the next visit'
}

import type { Garage } from '../../log/garage.ts'
import { fittedLink } from '../../log/garage.ts'
import type { VisitJob } from '../../log/kinds/visit.ts'
import { lubeAhead } from '../when.ts'
import { closingsOf } from '../fitting-checks.ts'
import { MINUTES, type Prices } from '../plans/price.ts'
import type { BikeReport } from '../facts/bike-report.ts'
import { factsOf } from '../facts/facts.ts'
import { SKIP_LIKELY } from '../facts/teeth-facts.ts'
import type { WearAnswer } from '../../wear/outlook.ts'
import type { TeethOutlook } from '../../teeth/teeth-outlook.ts'
import { SWAPS, verdictOf } from '../verdict.ts'

/** Jobs on a drivetrain that the app itself proposes. */
export const DRIVETRAIN_JOBS = [
  'chain',
  'cassette',
  'single-cogs',
  'ring',
  'pulleys',
  'derailleur',
  'joining-link',
  'bad-links',
  'lube',
] as const
export type DrivetrainJob = (typeof DRIVETRAIN_JOBS)[number]

/** What a job is about, for its words. */
export interface ProposedJob extends Omit<VisitJob, 'name' | 'found' | 'outcome' | 'id'> {
  readonly id: DrivetrainJob
  /** Cogs that it is about, by their teeth. */
  readonly cogs?: readonly number[]
}

/** How much each is worth beside the others (job: chain first, then what lets the new chain work, then the rest). Ours. */
const WORTH: Readonly<Record<DrivetrainJob, number>> = {
  chain: 20,
  cassette: 16,
  'single-cogs': 15,
  ring: 6,
  pulleys: 5,
  derailleur: 5,
  'joining-link': 4,
  'bad-links': 20,
  lube: 4,
}
/** A chain that is not due yet, but would be before the next visit, is worth so much. */
const CHAIN_EARLY = 8
/** Minutes that are not among those of the plans. Guesses. */
const MORE_MINUTES = { pulleys: 15, derailleur: 40, badLinks: 15, lube: 10, singleCogs: 20 } as const
/** A whole rear derailleur costs so many pairs of pulleys, a joining link so much of a chain. Guesses. */
const [DERAILLEUR_TIMES, LINK_SHARE] = [3, 0.15] as const

/** A job as it is proposed, its price in whole minor units. */
const job = (
  id: DrivetrainJob,
  price: number,
  minutes: number,
  more: Partial<ProposedJob> = {},
): ProposedJob => ({ id, isSafety: false, price: Math.round(price), minutes, worth: WORTH[id], ...more })

/**
 * What could be done to a bike's drivetrain, as the one verdict and the teeth have it, with what each needs and takes the place of: a
 * new chain needs cogs on which it does not skip, new cogs need a chain that does not ruin them, a whole derailleur stands in for two
 * pulleys.
 * @param prices of the bike, minor units
 * @returns the weightiest first; none while the chain is being worked out
 */
export function proposedJobs(
  garage: Garage,
  report: BikeReport,
  answer: WearAnswer | undefined,
  teeth: TeethOutlook | undefined,
  prices: Prices,
): readonly ProposedJob[] {
  const verdict = verdictOf(report, answer, teeth)
  if (!verdict || !report.chain) return []
  const { wornTeeth, cogs = [], hasWornCogs, slipsNow } = factsOf(report, answer, teeth)
  const isDue = SWAPS.includes(verdict.action)
  const isUnsafe = verdict.cautions.includes('do-not-ride')
  const bad = cogs.filter(({ fresh }) => fresh >= SKIP_LIKELY)
  const isSold = bad.length > 0 && bad.every(({ soldSingly }) => soldSingly)
  const hasCogJob = hasWornCogs || verdict.action === 'swap-chain-and-cogs'
  const offersChain = isDue || hasCogJob || verdict.swap?.before !== undefined || verdict.word === 'watch'
  const toLimit = Math.round(verdict.swap?.inKm.p50 ?? 0)
  const isWorn = (role: 'ring' | 'pulley'): boolean =>
    wornTeeth.some(({ sprocket }) => sprocket.part.entry.spec.type === role)
  const link = fittedLink(garage, report.bike.entry.bike)
  const spec = link?.entry.spec
  const isLinkUsedUp = spec?.type === 'joining-link' && link && closingsOf(link) >= spec.closingsAllowed
  const lube = lubeAhead(report, answer)
  const cogIds = [...(isSold ? ['single-cogs'] : []), 'cassette']
  return [
    ...(offersChain
      ? [
          job('chain', prices.chain, MINUTES.mounting, {
            isSafety: isUnsafe || slipsNow,
            worth: isDue || hasCogJob ? WORTH.chain : CHAIN_EARLY,
            ...(hasCogJob && { needsOneOf: [cogIds] }),
            ...(toLimit > 0 && { byKm: toLimit }),
          }),
        ]
      : []),
    ...(hasCogJob
      ? [
          // A worn chain would ruin new cogs: they come with a new one.
          job('cassette', prices.cassette, MINUTES.cassette, {
            needs: ['chain'],
            isSafety: slipsNow,
            ...(bad.length > 0 && { cogs: bad.map(({ teeth: count }) => count) }),
            ...(isSold && { excludes: ['single-cogs'] }),
          }),
        ]
      : []),
    ...(hasCogJob && isSold
      ? [
          job('single-cogs', bad.length * prices.singleCog, MORE_MINUTES.singleCogs, {
            needs: ['chain'],
            isSafety: slipsNow,
            cogs: bad.map(({ teeth: count }) => count),
            excludes: ['cassette'],
          }),
        ]
      : []),
    ...(report.chain.badLinks.length > 0 && !isDue
      ? [job('bad-links', prices.chain * LINK_SHARE, MORE_MINUTES.badLinks, { isSafety: isUnsafe })]
      : []),
    ...(isWorn('ring')
      ? [job('ring', prices.ring, MINUTES.ring, offersChain ? { needs: ['chain'] } : {})]
      : []),
    ...(isWorn('pulley')
      ? [
          job('pulleys', prices.pulleys, MORE_MINUTES.pulleys, { excludes: ['derailleur'] }),
          job('derailleur', prices.pulleys * DERAILLEUR_TIMES, MORE_MINUTES.derailleur, {
            excludes: ['pulleys'],
          }),
        ]
      : []),
    ...(isLinkUsedUp
      ? [job('joining-link', prices.chain * LINK_SHARE, 0, offersChain ? { needs: ['chain'] } : {})]
      : []),
    ...(lube && lube.inKm <= 0 ? [job('lube', prices.lube, MORE_MINUTES.lube)] : []),
  ]
}

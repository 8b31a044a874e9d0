import type { ItemId } from '../../checks/items.ts'
import type { LinkCheckEntry } from '../../log/kinds/link-check.ts'
import type { LubeClock } from '../../lube/clock.ts'
import type { LimitReason } from '../../measure/limits.ts'
import type { Interval } from '../../stats/interval.ts'
import type { OpenConflict } from '../../wear/outlook.ts'
import type { Surprise } from '../../wear/surprise.ts'
import type { OpenFaults } from '../facts/faults-found.ts'
import type { Facts, WearFacts, WornTeeth } from '../facts/facts.ts'
import { SKIP_DOUBTFUL, SKIP_LIKELY, type CogRisk } from '../facts/teeth-facts.ts'
import type { ChainWord } from '../wear-word.ts'

/** What to do about a bike. */
export type Action =
  | 'describe-chain'
  | 'measure'
  | 'answer-first'
  | 'swap-chain-and-cogs'
  | 'swap-chain'
  | 'lubricate'
  | 'look-at-teeth'
  | 'ride-on'

/** One ground for a verdict. The words are the screen's. */
export type Reason =
  | { readonly kind: 'no-chain' }
  | { readonly kind: 'not-measured'; readonly km: number; readonly guess: Interval | undefined }
  | { readonly kind: 'new-chain'; readonly km: number; readonly guess: Interval | undefined }
  | { readonly kind: 'chance-past'; readonly p: number; readonly percent: number }
  | { readonly kind: 'cogs-shaped'; readonly p: number }
  | ({ readonly kind: 'worn-teeth' } & WornTeeth)
  /** A chain skips on these cogs, smallest first; the chance is that of the worst. */
  | {
      readonly kind: 'skips'
      readonly chain: 'fresh' | 'now'
      readonly cogs: readonly number[]
      readonly p: number
    }
  | { readonly kind: 'reading-old'; readonly km: number }
  | { readonly kind: 'too-wide'; readonly low: number; readonly high: number }
  | { readonly kind: 'goes-further'; readonly km: Interval; readonly percent: number }
  | { readonly kind: 'lube'; readonly clock: LubeClock }
  | { readonly kind: 'lube-unknown' }
  | { readonly kind: 'log-doubted'; readonly km: number }
  | { readonly kind: 'tools-disagree'; readonly conflict: OpenConflict }
  | { readonly kind: 'surprise'; readonly surprise: Surprise }
  | { readonly kind: 'question-open' }
  /** Links that were found bad when it was gone through link by link. */
  | { readonly kind: 'bad-links'; readonly found: LinkCheckEntry['found'] }
  /** Left at an earlier visit, and due by now. */
  | { readonly kind: 'advice-due'; readonly jobs: readonly string[] }
  /** Found when it was looked for why the bike slips or skips, and not mended yet, or still there after it was. */
  | ({ readonly kind: 'fault-open' } & OpenFaults)
  /** Found at a check, and to be seen to by now: before it is ridden, or at once. */
  | { readonly kind: 'found-at-check'; readonly items: readonly ItemId[]; readonly isStop: boolean }
  | { readonly kind: 'limit'; readonly percent: number; readonly why: LimitReason }

/** What must be said beside the verdict. */
export type Caution = 'do-not-ride' | 'keep-old-chain' | 'may-slip' | 'ask-mechanic' | 'stop-riding'

/** What a rule would have done. */
export interface Proposal {
  readonly action: Action
  readonly word: ChainWord
  /** Chance that this is the right call, where it can be put as one. */
  readonly confidence?: number
  /** The weightiest first. */
  readonly reasons: readonly Reason[]
  readonly cautions: readonly Caution[]
}

/** Says what to do where it has a say, and nothing where it has none. The first of the ordered rules that speaks is heard. */
export type Rule = (facts: Facts) => Proposal | undefined

/** A look that is due within this distance is due now, unless the last one is no further back than this, km. */
export const LOOK_DUE_KM = 25

/** The cogs on which a chain may skip as a ground; those on which it is likeliest, where it is likely on some. */
function skipReason(cogs: readonly CogRisk[], chain: 'fresh' | 'now'): Reason[] {
  const risks = cogs.flatMap(({ teeth, [chain]: p }) => (p === undefined ? [] : [{ teeth, p }]))
  const worst = risks.reduce((most, { p }) => Math.max(most, p), 0)
  if (worst < SKIP_DOUBTFUL) return []
  const from = worst >= SKIP_LIKELY ? SKIP_LIKELY : SKIP_DOUBTFUL
  return [
    { kind: 'skips', chain, p: worst, cogs: risks.filter(({ p }) => p >= from).map(({ teeth }) => teeth) },
  ]
}

/** What is known of the teeth as grounds: where a chain skips, and every sprocket that the eye found worn. */
export const teethReasons = ({ wornTeeth, cogs = [] }: Facts): Reason[] => [
  ...skipReason(cogs, 'now'),
  ...skipReason(cogs, 'fresh'),
  ...wornTeeth.map((worn): Reason => ({ kind: 'worn-teeth', ...worn })),
]

/** The bike's limit as a ground. */
export const limitReason = ({ report: { limit } }: Facts): Reason => ({
  kind: 'limit',
  percent: limit.percent,
  why: limit.reason,
})

/** What is on the chain as a ground. */
export const lubeReason = ({ chain }: Facts): Reason =>
  chain?.lube ? { kind: 'lube', clock: chain.lube.clock } : { kind: 'lube-unknown' }

/** Whether what is on the chain is used up, or ruined. */
export const isLubeDue = ({ chain }: Facts): boolean => chain?.lube?.clock.due === true

/** How likely the chain is past its limit, as a ground. */
export const chanceReason = ({ report }: Facts, { past }: WearFacts): Reason => ({
  kind: 'chance-past',
  p: past,
  percent: report.limit.percent,
})

/** How far the chain still goes, as a ground. */
export const goingReason = ({ report }: Facts, answer: WearFacts['answer']): Reason => ({
  kind: 'goes-further',
  km: answer.toLimitKm,
  percent: report.limit.percent,
})

/** That readings and distance contradict one another, where they do. */
export const doubtReasons = ({ answer, chain }: WearFacts): Reason[] =>
  answer.missingPast >= 0.5 ? [{ kind: 'log-doubted', km: chain.story.km }] : []

/** A chain that may slip on a worn cog, whatever else is done. */
export const slipCautions = ({ cogs, hasWornCogs, slipsNow }: Facts): Caution[] =>
  slipsNow || (hasWornCogs && !cogs) ? ['may-slip'] : []

/** To measure once more, or to answer a question, before anything is done: for one reason before all others. */
export const heldBack = (
  facts: Facts,
  wear: WearFacts,
  reason: Reason,
  action: 'measure' | 'answer-first',
): Proposal => ({
  action,
  word: 'unsure',
  reasons: [reason, chanceReason(facts, wear), ...teethReasons(facts), limitReason(facts)],
  cautions: slipCautions(facts),
})

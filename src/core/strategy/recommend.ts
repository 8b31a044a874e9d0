import type { LookEntry } from '../log/kinds/look.ts'
import type { LubeClock } from '../lube/clock.ts'
import { COGS_TOO_PERCENT } from '../measure/limits.ts'
import { limitKey } from '../measure/posterior.ts'
import type { Interval } from '../wear/interval.ts'
import type { OpenConflict, WearAnswer } from '../wear/outlook.ts'
import type { BikeReport, ChainReport, Sprocket } from './bike-report.ts'
import { doubtsReading, type Surprise } from '../wear/surprise.ts'
import { chainWord, type Verdict } from './wear-word.ts'

export type Action =
  | 'describe-chain'
  | 'measure'
  | 'swap-chain-and-cogs'
  | 'swap-chain'
  | 'lubricate'
  | 'look-at-teeth'
  | 'ride-on'

/** One ground for a recommendation. The words are the screen's. */
export type Reason =
  | { readonly kind: 'no-chain' }
  | { readonly kind: 'not-measured'; readonly km: number; readonly guess: Interval | undefined }
  | { readonly kind: 'new-chain'; readonly km: number; readonly guess: Interval | undefined }
  | { readonly kind: 'chance-past'; readonly p: number; readonly percent: number }
  | { readonly kind: 'cogs-shaped'; readonly p: number }
  | { readonly kind: 'worn-teeth'; readonly sprocket: Sprocket; readonly look: LookEntry }
  | { readonly kind: 'reading-old'; readonly km: number }
  | { readonly kind: 'too-wide'; readonly low: number; readonly high: number }
  | { readonly kind: 'goes-further'; readonly km: Interval; readonly percent: number }
  | { readonly kind: 'lube'; readonly clock: LubeClock }
  | { readonly kind: 'lube-unknown' }
  | { readonly kind: 'log-doubted'; readonly km: number }
  | { readonly kind: 'tools-disagree'; readonly conflict: OpenConflict }
  | { readonly kind: 'surprise'; readonly surprise: Surprise }
  | { readonly kind: 'limit'; readonly percent: number; readonly why: string }

/** What must be said beside the recommendation. */
export type Caution = 'keep-old-chain' | 'may-slip' | 'ask-mechanic'

export interface Recommendation {
  readonly action: Action
  readonly word: Verdict
  /** Chance that this is the right call, where it can be put as one. */
  readonly confidence?: number
  /** The next look at the chain, km from now. */
  readonly lookInKm?: number
  readonly reasons: readonly Reason[]
  readonly cautions: readonly Caution[]
}

/** A look that is due within this distance is due now, unless the last one is no further back than this, km. */
const LOOK_DUE_KM = 25

/** Whether the last look is to be taken again before anything is done: it may not be of this chain, or not be right. */
function isInDoubt({ surprise }: WearAnswer, limit: number): boolean {
  // Past the limit as read and as expected is past it, whatever the look was.
  return (
    surprise !== undefined &&
    doubtsReading(surprise) &&
    Math.min(surprise.read, surprise.expected.p50) < limit
  )
}

const wornTeeth = (sprockets: readonly Sprocket[]): Reason[] =>
  sprockets.flatMap((sprocket): Reason[] =>
    sprocket.look && (sprocket.look.word === 'swap' || sprocket.look.word === 'spent')
      ? [{ kind: 'worn-teeth', sprocket, look: sprocket.look }]
      : [],
  )

const lubeReason = (chain: ChainReport): Reason =>
  chain.clock ? { kind: 'lube', clock: chain.clock } : { kind: 'lube-unknown' }

/**
 * A chain nobody has measured. Fitted new, with its distance in the log, it wants riding until the forecast calls for the
 * first look, by the rule of every look; otherwise the one thing to do is to measure it.
 */
function unmeasured(
  { limit }: BikeReport,
  chain: ChainReport,
  worn: readonly Reason[],
  answer: WearAnswer | undefined,
): Recommendation | undefined {
  const { spec } = chain.part.entry
  const isNew = spec.type === 'chain' && spec.past === 'new'
  // What the log vouches for is not yet worked out.
  if (isNew && !answer) return undefined
  const guess = isNew ? answer?.wayHere.at(-1) : undefined
  const { km } = chain.story
  const word = answer && chainWord(answer.now, limit.percent)
  // As with a chain that was read: where no word can be put to it, it is to be measured.
  const isVouched = isNew && word !== undefined && word !== 'unsure'
  if (answer && isVouched && answer.untoldPast < 0.5 && answer.nextLookKm >= LOOK_DUE_KM) {
    return {
      action: chain.clock?.due ? 'lubricate' : worn.length > 0 ? 'look-at-teeth' : 'ride-on',
      word,
      lookInKm: answer.nextLookKm,
      reasons: [
        { kind: 'new-chain', km, guess },
        ...worn,
        { kind: 'goes-further', km: answer.toLimitKm, percent: limit.percent },
        lubeReason(chain),
        { kind: 'limit', percent: limit.percent, why: limit.reason },
      ],
      cautions: worn.length > 0 ? ['may-slip', 'ask-mechanic'] : [],
    }
  }
  return {
    action: 'measure',
    word: 'unsure',
    reasons: [{ kind: 'not-measured', km, guess }, ...worn, ...(chain.clock?.due ? [lubeReason(chain)] : [])],
    cautions: worn.length > 0 ? ['may-slip', 'ask-mechanic'] : [],
  }
}

/**
 * One recommendation for a bike, its reasons in order, from limit, forecast, looks at teeth and the lubrication
 * clock. Harm comes first: a chain past its limit, then one nobody can vouch for, then lubrication, then riding on.
 * @param answer the wear model's, absent while it is being worked out or where there is no chain
 */
export function recommend(report: BikeReport, answer: WearAnswer | undefined): Recommendation | undefined {
  const { chain, limit } = report
  const worn = wornTeeth(report.sprockets)
  if (!chain)
    return { action: 'describe-chain', word: 'unsure', reasons: [{ kind: 'no-chain' }], cautions: [] }
  if (chain.lastReadingAt === undefined) return unmeasured(report, chain, worn, answer)
  if (!answer) return undefined

  const past = answer.now.pAbove[limitKey(limit.percent)] ?? 0
  const cogsToo = answer.now.pAbove[limitKey(COGS_TOO_PERCENT)] ?? 0
  const word = chainWord(answer.now, limit.percent)
  const limitReason: Reason = { kind: 'limit', percent: limit.percent, why: limit.reason }
  const chance: Reason = { kind: 'chance-past', p: past, percent: limit.percent }
  const doubted: Reason[] = answer.untoldPast >= 0.5 ? [{ kind: 'log-doubted', km: chain.story.km }] : []
  const wornCogs = worn.some((reason) => reason.kind === 'worn-teeth' && reason.sprocket.role === 'cog')

  const measureAgain = (reason: Reason): Recommendation => ({
    action: 'measure',
    word: 'unsure',
    lookInKm: 0,
    reasons: [reason, chance, ...worn, limitReason],
    cautions: wornCogs ? ['may-slip'] : [],
  })
  const { conflict, surprise } = answer
  if (conflict && past > 0.02 && past < 0.9) return measureAgain({ kind: 'tools-disagree', conflict })
  if (surprise && isInDoubt(answer, limit.percent)) return measureAgain({ kind: 'surprise', surprise })
  if (past >= 0.5) {
    const together = cogsToo >= 0.5 || wornCogs || limit.school === 'late'
    return {
      action: together ? 'swap-chain-and-cogs' : 'swap-chain',
      word,
      confidence: past,
      reasons: [
        chance,
        ...(cogsToo >= 0.2 ? [{ kind: 'cogs-shaped', p: cogsToo } as const] : []),
        ...worn,
        ...doubted,
        limitReason,
        lubeReason(chain),
      ],
      cautions: cogsToo >= 0.2 || wornCogs ? ['keep-old-chain', 'may-slip'] : [],
    }
  }
  const going: Reason = { kind: 'goes-further', km: answer.toLimitKm, percent: limit.percent }
  const cautions: Caution[] = wornCogs ? ['may-slip'] : []
  const since = chain.kmSinceReading ?? 0
  if (word === 'unsure' || (answer.nextLookKm < LOOK_DUE_KM && since > LOOK_DUE_KM)) {
    return {
      action: 'measure',
      word,
      lookInKm: 0,
      reasons: [
        word === 'unsure'
          ? { kind: 'too-wide', low: answer.now.p05, high: answer.now.p95 }
          : { kind: 'reading-old', km: since },
        chance,
        ...doubted,
        ...worn,
        limitReason,
        ...(chain.clock?.due ? [lubeReason(chain)] : []),
      ],
      cautions,
    }
  }
  if (chain.clock?.due) {
    return {
      action: 'lubricate',
      word,
      lookInKm: answer.nextLookKm,
      reasons: [lubeReason(chain), ...worn, going, chance, ...doubted],
      cautions,
    }
  }
  return {
    action: worn.length > 0 ? 'look-at-teeth' : 'ride-on',
    word,
    confidence: 1 - past,
    lookInKm: answer.nextLookKm,
    reasons: [...worn, chance, ...doubted, going, lubeReason(chain), limitReason],
    cautions,
  }
}

const URGENCY: Readonly<Record<Action, number>> = {
  'swap-chain-and-cogs': 6,
  'swap-chain': 5,
  measure: 4,
  'describe-chain': 3,
  'look-at-teeth': 2,
  lubricate: 2,
  'ride-on': 0,
}

/**
 * How loudly a bike calls: the action first, then how likely it is that its chain is past the limit, then how far
 * the next look is. Greater is more urgent.
 */
export function urgency(recommendation: Recommendation): number {
  const past = recommendation.reasons.find((reason) => reason.kind === 'chance-past')
  const near = recommendation.lookInKm === undefined ? 0 : 1 / (1 + recommendation.lookInKm / 100)
  return URGENCY[recommendation.action] + 0.9 * (past?.kind === 'chance-past' ? past.p : near * 0.5)
}

import { chancesOf, type Need } from './network.ts'
import { cogsSaid } from './cogs-said.ts'
import { chanceOfAnswer, type Answer, type Answers } from './infer.ts'
import type { ShiftCause } from './causes.ts'
import { SHIFTING, type ShiftFinding } from './shifting-network.ts'

/** What a bike's log says that bears on a fault. What is absent is not known. */
export interface FaultFacts {
  readonly has: ReadonlySet<Need>
  /** The chance that the chain is past its limit, and that it is hardly worn (under 0.25 %), 0 to 1. */
  readonly chainPast?: number
  readonly chainFresh?: number
  /** That the chain that is on skips on a cog under a hard push, by cog, smallest first (Teeth). */
  readonly cogRisks?: readonly { readonly teeth: number; readonly p: number }[]
  /** Distance since the chain, and since the cassette, was fitted, km. */
  readonly kmOnChain?: number
  readonly kmOnCassette?: number
  /** Share of the lube's life that is used; over 1 when it is overdue. */
  readonly lubeUsed?: number
  readonly wetRidesSinceLube?: number
  /** The joining link was closed more often than its maker allows. */
  readonly isLinkOverused?: boolean
  /** The last check of the links found one that is stiff. */
  readonly hasStiffLink?: boolean
  /** A fall, and another wheel, within the last weeks or not. */
  readonly hadCrash?: boolean
  readonly hadWheelChange?: boolean
  /** Cogs that slipped on the road under the chain that is on, by tooth count; and all of the bike's. */
  readonly slippedOn?: { readonly cogs: readonly number[]; readonly of: readonly number[] }
  /** The chain is made for another number of speeds than the bike has. */
  readonly isMismatched?: boolean
  /** What was found before: on this bike, and on the rider's others. */
  readonly foundHere: readonly ShiftCause[]
  readonly foundElsewhere: readonly ShiftCause[]
}

/** What a rate was moved by. */
export type RateReason = 'cog-risk' | 'lube' | 'wet-rides' | 'joining-link' | 'found-before'

export interface BaseRates {
  readonly rates: Readonly<Record<ShiftCause, number>>
  /** Those that the log moved by more than a little, with the reason. */
  readonly moved: readonly {
    readonly cause: ShiftCause
    readonly from: number
    readonly to: number
    readonly by: RateReason
  }[]
  /** What the log answers by itself; an answer given now takes its place. */
  readonly known: Answers<ShiftFinding>
}

/** A chain, a cassette, counts as just fitted for so long, km. Ours. */
const JUST_FITTED_KM = 300
/** Rates stay off 0 and 1: nothing is certain before one looks. */
const [LEAST, MOST] = [0.004, 0.9]
/** Our rates count for as much as so many faults found; one on another bike of the rider's for half of one on this. Ours. */
const [OURS_COUNT, ELSEWHERE_COUNTS] = [12, 0.5]
/** Lube: overdue, nearly, fresh; and each wet ride since, up to some. Odds ratios. Ours, of the size that job.md describes. */
const LUBE_ODDS = { overdue: 4, soon: 2, fresh: 0.3 } as const
const [WET_ODDS, WET_MOST] = [1.35, 5] as const
const LINK_ODDS = 3

const withOdds = (p: number, times: number): number => {
  const odds = (p / (1 - p)) * times
  return Math.min(MOST, Math.max(LEAST, odds / (1 + odds)))
}

/** The chain's elongation as the answer of a gauge: each value by how much likelier it is than as a rule. */
function gaugeAnswer({ chainPast: past, chainFresh: fresh }: FaultFacts): Answer | undefined {
  if (past === undefined || fresh === undefined) return undefined
  const usual = SHIFTING.findings.gauge.otherwise
  return {
    fresh: fresh / usual.fresh,
    between: Math.max(0, 1 - past - fresh) / usual.between,
    past: past / usual.past,
  }
}

/** What the log answers by itself. */
function knownAnswers(facts: FaultFacts): Answers<ShiftFinding> {
  const { slippedOn, kmOnChain, kmOnCassette, hadCrash, hadWheelChange, hasStiffLink, isMismatched } = facts
  const gauge = gaugeAnswer(facts)
  const cogs = slippedOn && cogsSaid(slippedOn.cogs, slippedOn.of)
  const yesNo = (is: boolean): string => (is ? 'yes' : 'no')
  return {
    ...(gauge && { gauge }),
    ...(cogs && { slips: 'yes', cogs }),
    ...(kmOnChain !== undefined && { 'new-chain': yesNo(kmOnChain < JUST_FITTED_KM) }),
    ...(kmOnCassette !== undefined && { 'new-cassette': yesNo(kmOnCassette < JUST_FITTED_KM) }),
    ...(hadCrash && { crash: 'yes' }),
    ...(hadWheelChange && { 'wheel-change': 'yes' }),
    ...(hasStiffLink && { links: 'one-stays' }),
    ...(isMismatched && { belongs: 'mixed' }),
  }
}

/** How much more often worn cogs show what the log knows than other causes do. */
function cogsShowKnown(known: Answers<ShiftFinding>): number {
  let ratio = 1
  for (const name of ['gauge', 'new-chain'] as const) {
    const said = known[name]
    const finding = SHIFTING.findings[name]
    if (said === undefined) continue
    const of = (causes: readonly ShiftCause[]): number =>
      chanceOfAnswer(finding.values, chancesOf<ShiftCause>(finding, causes), said)
    ratio *= of(['worn-cogs']) / of([])
  }
  return ratio
}

/** What was found before moves the rates as counts do: ours count for some, each find for one. */
function afterFinds(facts: FaultFacts): Record<ShiftCause, number> {
  const { foundHere, foundElsewhere } = facts
  const total = foundHere.length + ELSEWHERE_COUNTS * foundElsewhere.length
  const countOf = (cause: ShiftCause): number =>
    foundHere.filter((one) => one === cause).length +
    ELSEWHERE_COUNTS * foundElsewhere.filter((one) => one === cause).length
  return Object.fromEntries(
    Object.entries(SHIFTING.causes).map(([cause, { rate }]) => [
      cause,
      (OURS_COUNT * rate + countOf(cause as ShiftCause)) / (OURS_COUNT + total),
    ]),
  ) as Record<ShiftCause, number>
}

function lubeOdds(used: number): number {
  if (used >= 1) return LUBE_ODDS.overdue
  if (used >= 0.7) return LUBE_ODDS.soon
  return used < 0.3 ? LUBE_ODDS.fresh : 1
}

/** How lube moves the rate of a dry chain; as it is where nothing is known of it. */
export const lubeMoves = (rate: number, used: number | undefined): number =>
  used === undefined ? rate : withOdds(rate, lubeOdds(used))

/**
 * The base rates of the causes on one bike, moved by its log. Teeth's risk is taken as it stands: the largest of any cog, that the chain
 * that is on skips, is the rate of worn cogs; what that risk knows already (the chain's wear, that it is fresh) is not counted twice.
 */
export function baseRates(facts: FaultFacts): BaseRates {
  const { cogRisks, lubeUsed, wetRidesSinceLube = 0, isLinkOverused } = facts
  const known = knownAnswers(facts)
  const moved: BaseRates['moved'][number][] = []
  const rates = afterFinds(facts)
  const to = (cause: ShiftCause, rate: number, by: RateReason): void => {
    const from = rates[cause]
    rates[cause] = rate
    if (Math.abs(Math.log(rate / from)) > 0.2) moved.push({ cause, from, to: rate, by })
  }
  for (const cause of new Set([...facts.foundHere, ...facts.foundElsewhere]))
    moved.push({ cause, from: SHIFTING.causes[cause].rate, to: rates[cause], by: 'found-before' })
  if (cogRisks && cogRisks.length > 0) {
    const worst = Math.min(MOST, Math.max(LEAST, ...cogRisks.map(({ p }) => p)))
    to('worn-cogs', worst, 'cog-risk')
    rates['worn-cogs'] = withOdds(worst, 1 / cogsShowKnown(known))
  }
  if (lubeUsed !== undefined) {
    to('dry-chain', lubeMoves(rates['dry-chain'], lubeUsed), 'lube')
    if (lubeUsed >= 1) to('stiff-link', withOdds(rates['stiff-link'], 2), 'lube')
  }
  if (wetRidesSinceLube > 0)
    to(
      'stiff-link',
      withOdds(rates['stiff-link'], WET_ODDS ** Math.min(WET_MOST, wetRidesSinceLube)),
      'wet-rides',
    )
  if (isLinkOverused) to('stiff-link', withOdds(rates['stiff-link'], LINK_ODDS), 'joining-link')
  return { rates, moved, known }
}

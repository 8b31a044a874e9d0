import type { WearAnswer } from '../wear/outlook.ts'
import type { TeethOutlook } from '../teeth/teeth-outlook.ts'
import type { BikeReport } from './facts/bike-report.ts'
import { foundAtCheck, type FoundAtCheck } from './facts/check-facts.ts'
import { factsOf, type Facts } from './facts/facts.ts'
import { brokenLink } from './rules/broken-link.ts'
import { RULES } from './rules/index.ts'
import type { Action, Proposal } from './rules/rule.ts'
import { lookAhead, lubeAhead, swapAhead, type LookAhead, type LubeAhead, type SwapAhead } from './when.ts'

/** What is said of a bike and its chain, everywhere. */
export interface Verdict extends Proposal {
  /** The next look; now, where that is the verdict. Absent where the chain is gone by then, or there is none. */
  readonly look?: LookAhead
  /** The end of a chain that was read; absent where that is the verdict. */
  readonly swap?: SwapAhead
  readonly lube?: LubeAhead
  /** What was found at a check and comes before the chain; absent where nothing did. */
  readonly found?: FoundAtCheck
}

/** Whether a bike needs something: its chain or teeth, or what was found at a check. */
export const needsSomething = ({ action, found }: Verdict): boolean =>
  action !== 'ride-on' || found !== undefined

/** The actions after which the chain is another. */
export const SWAPS: readonly Action[] = ['swap-chain', 'swap-chain-and-cogs']

/** Whether nothing can be said before the chain is measured, or a question about it answered. */
export const isHeldBack = (action: Action): boolean => action === 'measure' || action === 'answer-first'

function verdict(facts: Facts): Verdict | undefined {
  // A link that breaks needs no statistics.
  if (facts.isAwaited && !brokenLink(facts)) return undefined
  for (const rule of RULES) {
    const proposal = rule(facts)
    if (proposal)
      return withTimes(
        withFindings(
          withAdvice(withFault(withLinks(withQuestion(proposal, facts), facts), facts), facts),
          facts,
        ),
        facts,
      )
  }
  return undefined
}

/** A question that holds nothing back is still open, and says so: before all else where nothing is to be done. */
function withQuestion(proposal: Proposal, { wear }: Facts): Proposal {
  const { action, reasons } = proposal
  if (!wear?.answer.surprise || reasons.some(({ kind }) => kind === 'surprise')) return proposal
  const at = action === 'ride-on' ? 0 : 1
  return {
    ...proposal,
    reasons: [...reasons.slice(0, at), { kind: 'question-open' }, ...reasons.slice(at)],
  }
}

/** Links that are stuck or stiff stand beside any verdict that does not name them. */
function withLinks(proposal: Proposal, { chain }: Facts): Proposal {
  const { action, reasons } = proposal
  if (!chain || chain.badLinks.length === 0 || reasons.some(({ kind }) => kind === 'bad-links'))
    return proposal
  const at = action === 'ride-on' ? 0 : 1
  return {
    ...proposal,
    reasons: [...reasons.slice(0, at), { kind: 'bad-links', found: chain.badLinks }, ...reasons.slice(at)],
  }
}

/** A fault that was found and is not gone stands beside any verdict: first where nothing else is to be done. */
function withFault(proposal: Proposal, { report: { faults } }: Facts): Proposal {
  if (!faults) return proposal
  const at = proposal.action === 'ride-on' ? 0 : 1
  const { reasons } = proposal
  return {
    ...proposal,
    reasons: [...reasons.slice(0, at), { kind: 'fault-open', ...faults }, ...reasons.slice(at)],
  }
}

/** What was left at a visit and is due stands after the verdict's own grounds. */
function withAdvice(proposal: Proposal, { report }: Facts): Proposal {
  const due = report.advice.filter(({ isDue }) => isDue).map(({ job }) => job.name)
  return due.length === 0
    ? proposal
    : { ...proposal, reasons: [...proposal.reasons, { kind: 'advice-due', jobs: due }] }
}

/** What was found at a check and is due comes before all that is said of the chain. */
function withFindings(proposal: Proposal, facts: Facts): Proposal & Pick<Verdict, 'found'> {
  const found = foundAtCheck(facts.report.findings)
  if (!found) return proposal
  return {
    ...proposal,
    found,
    reasons: [{ kind: 'found-at-check', ...found }, ...proposal.reasons],
    cautions: [...(found.isStop ? (['stop-riding'] as const) : []), ...proposal.cautions],
  }
}

/** A proposal, and when what is to come is due. */
function withTimes(proposal: Proposal, facts: Facts): Verdict {
  const { report, chain, answer, wear } = facts
  const { action } = proposal
  const lube = lubeAhead(report, answer)
  const made: Verdict = { ...proposal, ...(lube && { lube }) }
  if (!chain || SWAPS.includes(action)) return made
  const swap = swapAhead(facts)
  const look: LookAhead | undefined = isHeldBack(action)
    ? { isFirst: !wear, inKm: 0, day: report.now }
    : lookAhead(facts)
  // A chain that is to be gone by then is not looked at again.
  const isGone =
    !isHeldBack(action) &&
    swap?.before !== undefined &&
    look?.day !== undefined &&
    swap.day !== undefined &&
    swap.day <= look.day
  return { ...made, ...(look && !isGone && { look }), ...(swap && { swap }) }
}

/** What stands for the answer that is not there yet. */
const NONE = {}
/** By report, then by what is known of the chain, then by what is known of the teeth. */
const verdicts = new WeakMap<
  BikeReport,
  WeakMap<object, WeakMap<object, { readonly verdict: Verdict | undefined }>>
>()

/** What is kept under a key, made where there is nothing yet. */
function under<K extends object, V>(map: WeakMap<K, V>, key: K, make: () => V): V {
  const held = map.get(key)
  if (held !== undefined) return held
  const made = make()
  map.set(key, made)
  return made
}

/**
 * The one verdict on a bike: what to do, how worn its chain is, why, and when what is to come is due. Every screen,
 * reminder, calendar line and sheet says this. Made once for the same report and answer.
 * @param answer the wear model's, absent while it is being worked out or where there is no chain
 * @param teeth what is known of the rider's teeth; absent while that is being worked out: their looks alone are gone by
 * @returns undefined while it is being worked out
 */
export function verdictOf(
  report: BikeReport,
  answer: WearAnswer | undefined,
  teeth?: TeethOutlook,
): Verdict | undefined {
  const byAnswer = under(verdicts, report, () => new WeakMap())
  const byTeeth = under(byAnswer, answer ?? NONE, () => new WeakMap())
  return under(byTeeth, teeth ?? NONE, () => ({ verdict: verdict(factsOf(report, answer, teeth)) })).verdict
}

const URGENCY: Readonly<Record<Action, number>> = {
  'swap-chain-and-cogs': 6,
  'swap-chain': 5,
  measure: 4,
  'answer-first': 4,
  'describe-chain': 3,
  'look-at-teeth': 2,
  lubricate: 2,
  'ride-on': 0,
}

/** A bike that must not be ridden comes before any chain; what is seen to before the next ride before what only wears. */
const STOP_URGENCY = 8
const FOUND_URGENCY = 4.5

/**
 * How loudly a bike calls: the action first, then how likely it is that its chain is past the limit, then how far
 * the next look is. Greater is more urgent.
 */
export function urgency({ action, reasons, look, found }: Verdict): number {
  const past = reasons.find((reason) => reason.kind === 'chance-past')
  const near = look?.inKm === undefined || isHeldBack(action) ? 0 : 1 / (1 + look.inKm / 100)
  const atCheck = found ? (found.isStop ? STOP_URGENCY : FOUND_URGENCY) : 0
  return Math.max(URGENCY[action], atCheck) + 0.9 * (past?.kind === 'chance-past' ? past.p : near * 0.5)
}

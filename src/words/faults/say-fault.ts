import type { AnyCause, FaultView, Moved } from '../../core/faults/finder.ts'
import type { RateReason } from '../../core/faults/base-rates.ts'
import { sayChance, sayList } from '../numbers.ts'
import { sayCause } from './causes.ts'

/** Cogs that a worn-cogs fault means: those that were tapped, or those that skip most. */
export function blamedCogs(
  picked: readonly number[],
  risks: readonly { readonly teeth: number; readonly p: number }[],
): readonly number[] {
  if (picked.length > 0 && picked.length <= 3) return [...picked].sort((a, b) => a - b)
  const most = Math.max(0, ...risks.map(({ p }) => p))
  return most < 0.2 ? [] : risks.filter(({ p }) => p >= Math.max(0.2, 0.6 * most)).map(({ teeth }) => teeth)
}

/** A cause, and which cogs. */
export function sayCauseWith(cause: AnyCause, cogs: readonly number[]): string {
  return cause === 'worn-cogs' && cogs.length > 0
    ? `${sayCause(cause)} ${sayList(cogs.map(String))}`
    : sayCause(cause)
}

/** Less than this, and the first cause is no more than a lead. */
const LEAD = 0.6

/** What is thought so far, in a sentence. */
export function sayView(name: string, view: FaultView, isAsked: boolean, cogs: readonly number[]): string {
  const [first, second] = view.ranking.causes
  if (!first) return `${name} has nothing that could be at fault in this way.`
  const what = sayCauseWith(first.cause, cogs)
  if (!isAsked) return `What does ${name} do? Tap it, and the causes sort themselves.`
  if (first.p >= LEAD) return `Probably ${what}: ${sayChance(first.p)}.`
  return second
    ? `Not clear yet: ${what} (${sayChance(first.p)}), or ${sayCause(second.cause)} (${sayChance(second.p)}).`
    : `Not clear yet: ${what}, ${sayChance(first.p)}.`
}

/** Why the log moves a cause. */
export const RATE_REASONS: Readonly<Record<RateReason, string>> = {
  'cog-risk': 'Teeth gives this chance that the chain skips on one of the cogs',
  lube: 'how long the lube has been on',
  'wet-rides': 'wet rides since the chain was lubricated',
  'joining-link': 'the joining link was closed more often than its maker allows',
  'found-before': 'what you found before',
}

const percent = (p: number): string => `${Math.round(100 * p)}\u00a0%`

/** What an answer moved, in a line; the causes that moved most. */
export function sayMoved(moved: readonly Moved[]): string {
  const told = moved.filter(({ from, to }) => Math.abs(to - from) >= 0.02).slice(0, 2)
  if (told.length === 0) return 'moved hardly anything'
  return told.map(({ cause, from, to }) => `${sayCause(cause)} ${percent(from)} → ${percent(to)}`).join(', ')
}

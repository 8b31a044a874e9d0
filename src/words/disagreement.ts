import type { Cause, Disagreement } from '../core/measure/disagreement.ts'
import { SHORT_INSTRUMENT } from './names.ts'
import { sayFigure } from './numbers.ts'

/** Why two tools may differ, as a sentence. */
export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  'roller-play': 'Likeliest: loose rollers, which a two-contact gauge adds to its reading.',
  'slack-run': 'Likeliest: one was read on a slack run, where a chain looks shorter than it is.',
  'joining-link':
    'Likeliest: one span ran over the joining link, which is newer or older than its neighbours.',
  'not-zeroed': 'Likeliest: one of them is off by itself. Zero both on a new chain and it will show.',
}

/** The disagreement in one sentence, with what each says. */
export function sayDisagreement({ high, low }: Disagreement, nameOf: (tool: string) => string): string {
  return `Two instruments disagree: the ${nameOf(high.tool)} says ${sayFigure(high.mean)}, the ${nameOf(low.tool)} says ${sayFigure(low.mean)}.`
}

/** Who settled it, and what it says of the one that was wrong. */
export function saySettled({ settled }: Disagreement, nameOf: (tool: string) => string): string {
  if (!settled) return ''
  const off = settled.against.mean - settled.by.mean
  return `The ${nameOf(settled.by.tool)} sides with the ${nameOf(settled.with.tool)}: the ${nameOf(settled.against.tool)} reads about ${sayFigure(Math.abs(off))} ${off > 0 ? 'high' : 'low'} here. Leave its readings out, or zero it.`
}

/** What would settle it. */
export const saySettle = ({ settle }: Disagreement): string =>
  settle === 'caliper-pair'
    ? 'A caliper inside and outside the same rollers would settle it.'
    : `A reading with the ${SHORT_INSTRUMENT[settle]} would settle it.`

import type { Says } from '../core/strategy/what-next/what-next-ask.ts'
import type { ReadingTurn } from '../core/strategy/what-next/reading-turns.ts'
import type { TeethTurn } from '../core/strategy/what-next/teeth-turns.ts'
import { lengthAtElongation } from '../core/measure/elongation.ts'
import type { Verdict } from '../core/strategy/verdict.ts'
import type { Units } from '../core/units/units.ts'
import { sayAboutKm, sayFigure, sayLength, sayLimit } from './numbers.ts'
import { WORD_NAMES } from './names.ts'

/** A swap that is no further off than this is told with riding on, km. */
const NEAR_KM = 1000

/** What a verdict asks for, in the middle of a sentence. */
export function sayCall({ action, swap }: Verdict, units: Units): string {
  switch (action) {
    case 'describe-chain':
      return 'enter the chain'
    case 'measure':
      return 'measure again'
    case 'answer-first':
      return 'answer a question first'
    case 'swap-chain':
      return 'swap the chain'
    case 'swap-chain-and-cogs':
      return 'swap the chain and cogs together'
    case 'lubricate':
      return 'lubricate and ride on'
    case 'look-at-teeth':
      return 'keep the chain, check the worn teeth'
    case 'ride-on':
      if (swap?.before) return `ride on, swap before ${swap.before.name}`
      return swap && swap.inKm.p50 < NEAR_KM
        ? `ride on, swap in about ${sayAboutKm(swap.inKm.p50, units)}`
        : 'ride on'
  }
}

const RESULTS = {
  clear: 'does not enter',
  starts: 'enters, does not seat',
  drops: 'drops in',
  'not-in': 'does not drop in',
}

/** One figure of the tool, and its length where it measures one. */
function figureOf(percent: number, pitches: number | undefined, units: Units): string {
  return pitches === undefined
    ? `${sayFigure(percent)}\u00a0%`
    : `${sayFigure(percent)}\u00a0% (${sayLength(Math.round(20 * lengthAtElongation(pitches, percent)) / 20, units)})`
}

const isFigure = (says: Says): says is { readonly percent: number } => 'percent' in says

/** What a tool would have to read: "reads 0.62 % or more". */
export function sayReadingTurn(
  { from, to, isLowest, isHighest }: ReadingTurn,
  pitches: number | undefined,
  units: Units,
): string {
  if (!isFigure(from) || !isFigure(to)) {
    const [a, b] = [from, to].flatMap((one) => (isFigure(one) ? [] : [one]))
    if (!a || !b) return ''
    const side = `the ${sayLimit(a.limit)} side`
    return a.result === b.result
      ? `${side} ${RESULTS[a.result]}`
      : `${side} ${RESULTS[a.result]}, or ${RESULTS[b.result]}`
  }
  if (isLowest && isHighest) return 'whatever it reads'
  if (isLowest) return `${figureOf(to.percent, pitches, units)} or less`
  if (isHighest) return `${figureOf(from.percent, pitches, units)} or more`
  return `${sayFigure(from.percent)} to ${figureOf(to.percent, pitches, units)}`
}

/** A look at a sprocket that would change the verdict: "If the 15-tooth cog looks spent". */
export function sayTeethTurn({ sprocket, word, side }: TeethTurn): string {
  const name = sprocket.role === 'cog' ? `${sprocket.teeth}-tooth cog` : `${sprocket.teeth}-tooth ring`
  const ends = {
    'or-worse': word === 'spent' ? '' : ' or worse',
    'or-better': word === 'fresh' ? '' : ' or better',
  }
  return `the ${name} looks ${word === 'swap' ? 'ready to swap' : WORD_NAMES[word]}${ends[side]}`
}

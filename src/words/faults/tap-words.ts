import type { Round, TapAnswer, TapFault, Turning } from '../../core/faults/tap-period.ts'
import { sayChance, sayFigure, sayList } from '../numbers.ts'

/** What comes round, and what a jerk in its time points to. */
export const ROUND_NAMES: Readonly<Record<Round, { readonly each: string; readonly means: string }>> = {
  crank: { each: 'once per crank turn', means: 'the ring, the crank or a pedal' },
  chain: { each: 'once per turn of the chain', means: 'a stiff or bad link' },
  wheel: { each: 'once per wheel turn', means: 'the cassette, the hub or a bent cog' },
  pulley: { each: 'once per pulley turn', means: 'a pulley' },
}

/** Why taps tell nothing yet. */
export const TAP_FAULTS: Readonly<Record<TapFault, string>> = {
  'few-jerks': 'Too few jerks to tell: tap four at least.',
  'few-turns': 'Too few turns to tell: turn the crank three times at least, ten is better.',
  'no-time': 'Start and stop fell together. Try again.',
  'out-of-order': 'The taps are out of order. Try again.',
}

/** How long each part takes to come round in these gears, in a sentence for each. */
export const sayPeriod = (round: Round, turns: number): string =>
  `${ROUND_NAMES[round].each}: every ${sayFigure(turns)} turns`

/** What the jerks keep time with, in a sentence, and how sure. */
export function sayRhythm(answer: TapAnswer, { ring, cog }: Turning): string {
  if (!answer.isTold) return TAP_FAULTS[answer.fault]
  const { chances, alike, periods } = answer
  const [best, p] = (Object.entries(chances) as [Round | 'none', number][]).reduce((a, b) =>
    b[1] > a[1] ? b : a,
  )
  if (best === 'none')
    return `The jerks keep no rhythm that ring ${ring} and cog ${cog} explain (${sayChance(p)}). Tap longer, or it has no rhythm.`
  const { each, means } = ROUND_NAMES[best]
  const others =
    alike.length > 0
      ? ` In this gear ${sayList(alike.map((one) => ROUND_NAMES[one].each))} is the same: try another cog.`
      : ''
  return `A jerk every ${sayFigure(periods[best] ?? 1)} crank turns: ${each} (${sayChance(p)}). That points to ${means}.${others}`
}

import type { WaitChoice, WaitCost } from '../core/strategy/plans/wait-steps.ts'
import { KM_PER_MILE } from '../core/units/convert.ts'
import { SWAPS, type Verdict } from '../core/strategy/verdict.ts'
import type { Units } from '../core/units/units.ts'
import { sayAboutMoney } from './money.ts'
import { sayAboutKm } from './numbers.ts'
import { sayDecimal } from './grouped-number.ts'

/** The wait nearest to a distance. @param costs at least one */
export const waitAt = (costs: readonly WaitCost[], km: number): WaitCost =>
  costs.reduce((best, one) => (Math.abs(one.km - km) < Math.abs(best.km - km) ? one : best))

/** What 100 km more of waiting cost from a wait on, minor units; undefined at the last one. */
export function per100After(costs: readonly WaitCost[], from: WaitCost): number | undefined {
  const next = costs[costs.indexOf(from) + 2] ?? costs[costs.indexOf(from) + 1]
  return next && (100 * (next.more - from.more)) / (next.km - from.km)
}

/** Less than so many standard errors from the best is as good as the best. */
const TELLING = 2

/** Whether a wait is dearer than the best beyond doubt. */
export const isTellingly = ({ more, moreSe }: WaitCost): boolean => more > TELLING * moreSe

/** What 100 km or miles more of waiting cost, after the best moment or from now on. */
function saySlope({ costs, best }: WaitChoice, isNowBest: boolean, currency: string, units: Units): string {
  const [now] = costs
  const slope = now && per100After(costs, isNowBest ? now : best)
  const last = costs.at(-1)
  if (slope === undefined || !last) return ''
  if (slope <= 0 || !isTellingly(last)) return ' Waiting longer costs next to nothing as far as this looks.'
  const perHundred = units === 'metric' ? slope : slope * KM_PER_MILE
  return ` ${isNowBest ? 'Each' : 'After that each'} 100\u00a0${units === 'metric' ? 'km' : 'mi'} of waiting cost about ${sayAboutMoney(perHundred, currency)}.`
}

/**
 * When to swap, in a sentence or two: what acting now and waiting cost.
 * @param isDue the verdict is to swap now: what money does not show is then said
 */
export function sayWait(choice: WaitChoice, isDue: boolean, currency: string, units: Units): string {
  const { costs, best } = choice
  const [now, last] = [costs[0], costs.at(-1)]
  if (!now || !last) return ''
  const slope = (isNowBest: boolean): string => saySlope(choice, isNowBest, currency, units)
  if (now === best || !isTellingly(now))
    return `By cost, swapping now is as good as any later moment.${slope(true)}`
  const money = sayAboutMoney(now.more, currency)
  const km = sayAboutKm(best.km, units)
  if (isDue)
    return `By cost alone, waiting another ${km} would save about ${money}. The limit is there for what money does not show: bad shifting, and a chain that jumps or breaks.`
  if (best === last)
    return `By cost, it can stay on for ${km} or more: swapping today costs about ${money} more than then.`
  return `By cost, the best moment is in about ${km}: swapping today costs about ${money} more.${slope(false)}`
}

/**
 * What comes closest to the verdict, and what it would cost beside it: swapping today where it says to ride on, riding on where it
 * says to swap.
 * @param limitKm where the verdict has the chain go, km from now
 */
export function sayRunnerUp(
  { costs }: WaitChoice,
  { action }: Pick<Verdict, 'action'>,
  limitKm: number,
  currency: string,
  units: Units,
): string | undefined {
  const [now, , later] = costs
  if (!now || !later) return undefined
  const isSwap = SWAPS.includes(action)
  const [chosen, other] = isSwap ? [now, later] : [waitAt(costs, limitKm), now]
  if (chosen === other) return undefined
  const more = other.more - chosen.more
  const money =
    Math.abs(more) < 10
      ? 'about the same cost'
      : `about ${sayAboutMoney(Math.abs(more), currency)} ${more > 0 ? 'dearer' : 'cheaper'}`
  const skips = other.skipsSoon - chosen.skipsSoon
  const often =
    Math.abs(skips) < 0.05
      ? 'skips no more often'
      : `${sayDecimal(Math.abs(skips), 1)} ${skips > 0 ? 'more' : 'fewer'} skips in the next ${units === 'metric' ? '1000\u00a0km' : '620\u00a0mi'}`
  const what = isSwap ? `ride on another ${sayAboutKm(later.km, units)}` : 'swap the chain today'
  return `Next best: ${what}. ${capital(money)}, ${often}.`
}

const capital = (text: string): string => `${text.slice(0, 1).toUpperCase()}${text.slice(1)}`

import { isUntestedAlone } from '../core/strategy/facts/chain-evidence.ts'
import type { ReactNode } from 'react'
import type { BikeReport, ChainReport } from '../core/strategy/facts/bike-report.ts'
import { isHeldBack, type Verdict } from '../core/strategy/verdict.ts'
import { addDays, daysBetween } from '../core/units/days.ts'
import type { WearAnswer } from '../core/wear/outlook.ts'
import { FORECAST_CAP_KM } from '../core/wear/rider-forecast.ts'
import type { Units } from '../core/units/units.ts'
import { sayLimitReason } from './limit-reason.ts'
import { SHORT_INSTRUMENT } from './names.ts'
import {
  keepUnits,
  sayAboutKm,
  sayAgo,
  sayCount,
  sayDay,
  sayFigure,
  sayLimit,
  sayList,
  sayPercent,
} from './numbers.ts'

/** What is to be done about the chain, as a sentence of its own. */
function sayOutlook({ action, swap }: Verdict, units: Units): string {
  if (action === 'measure') return 'Measure it again.'
  if (action === 'answer-first') return 'Answer one question first.'
  if (action === 'swap-chain') return 'Swap it now.'
  if (action === 'swap-chain-and-cogs') return 'Swap it now, and the cogs with it.'
  const { p10, p50, p90 } = swap?.inKm ?? { p10: 0, p50: FORECAST_CAP_KM, p90: FORECAST_CAP_KM }
  if (p50 >= FORECAST_CAP_KM) return 'It has a long way to go.'
  const inKm = `in about ${sayAboutKm(p50, units)}, probably ${p10 <= 0 ? 'now' : sayAboutKm(p10, units)} to ${sayAboutKm(p90, units)}`
  return swap?.before
    ? `Swap it before ${swap.before.name}: it reaches its limit ${inKm}.`
    : `Swap it ${inKm}.`
}

/**
 * The verdict on a chain in one sentence: how worn, how sure, how far it goes.
 * @param verdict undefined while it is being worked out
 */
export function verdictSentence(
  report: BikeReport,
  answer: WearAnswer | undefined,
  verdict: Verdict | undefined,
  units: Units,
): ReactNode {
  const name = report.bike.entry.name
  if (!report.chain) return `No chain is entered for ${name} yet.`
  if (!verdict) return `Working out ${name}’s chain…`
  if (report.chain.lastReadingAt === undefined || !answer) {
    const { look } = verdict
    // New, and not due: there is nothing to measure yet.
    return look?.inKm !== undefined && !isHeldBack(verdict.action)
      ? `${name}’s chain is new: ride it. First look in ${sayAboutKm(look.inKm, units)}.`
      : `${name}’s chain is not measured yet.`
  }
  const { mean, p05, p95 } = answer.now
  return (
    <>
      {name}’s chain is at <strong className="font-bold">{sayPercent(mean)}</strong>, probably{' '}
      {sayFigure(p05)} to {sayFigure(p95)}.{' '}
      <strong className="font-bold">{sayOutlook(verdict, units)}</strong>
    </>
  )
}

/** Grounds of the verdict: how many readings with what, and the limit with its reason. */
export function verdictGrounds(report: BikeReport, chain: ChainReport, answer?: WearAnswer): string {
  const used = chain.readings.filter((state) => state.used)
  const instruments = [...new Set(used.map(({ entry }) => SHORT_INSTRUMENT[entry.reading.instrument]))]
  const limit = keepUnits(
    `The limit for this bike is ${sayLimit(report.limit.percent)} %: ${sayLimitReason(report.limit.reason)}.`,
  )
  if (used.length === 0) return limit
  const doubt =
    answer && answer.missingPast >= 0.5
      ? ' The readings do not fit the distance in the log. Is a ride or a swap missing?'
      : ''
  const untested = isUntestedAlone(used, chain.biases)
    ? ' No other tool has checked this one yet: take the next reading with a different tool.'
    : ''
  return keepUnits(
    `${sayCount(used.length, 'reading')} with ${sayList(instruments)}.${untested}${doubt} ${limit}`,
  )
}

/** Days that lie further off than this are not named. */
const NAMED_DAYS = 1500

/** When to look again, in distance and on the calendar; nothing where the chain is gone by then. */
export function sayNextLook({ look }: Verdict, units: Units, now: string): string {
  if (!look) return ''
  const { day, before, inKm } = look
  if (before) return `Next look before ${before.name}${day === undefined ? '' : `, on ${sayDay(day, now)}`}.`
  if (inKm === undefined || inKm <= 0) return 'Look again now.'
  const around = day !== undefined && daysBetween(now, day) < NAMED_DAYS ? `, around ${sayDay(day, now)}` : ''
  return `Next look in ${sayAboutKm(inKm, units)}${around}.`
}

/** The date at which the limit is likely reached, with its 80 % interval. */
export function sayLimitDates(answer: WearAnswer, now: string): string {
  const days = answer.toLimitDays
  if (!days) return 'No rides in the last twelve weeks, so there is no date.'
  const far = (value: number) =>
    value > NAMED_DAYS ? 'in more than four years' : sayDay(addDays(now, value), now)
  if (days.p90 <= 0) return 'It is there already.'
  return `By date: about ${far(days.p50)}, probably between ${days.p10 <= 0 ? 'now' : far(days.p10)} and ${far(days.p90)}.`
}

/** The last reading, and how long ago. */
export const sayLastReading = (chain: ChainReport, now: string): string =>
  chain.lastReadingAt === undefined ? 'never measured' : `last measured ${sayAgo(chain.lastReadingAt, now)}`

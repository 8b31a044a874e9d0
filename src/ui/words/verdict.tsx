import type { ReactNode } from 'react'
import type { BikeReport, ChainReport } from '../../core/strategy/bike-report.ts'
import { recommend } from '../../core/strategy/recommend.ts'
import type { Verdict } from '../../core/strategy/wear-word.ts'
import { addDays } from '../../core/units/days.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import { FORECAST_CAP_KM } from '../../core/wear/rider-forecast.ts'
import type { Units } from '../screen-state.ts'
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

/** The word for a bike's chain, as the one recommendation has it; unsure while that is worked out. */
export const verdictOf = (report: BikeReport, answer: WearAnswer | undefined): Verdict =>
  (answer && recommend(report, answer)?.word) ?? 'unsure'

/** What is to be done about the chain, as a sentence of its own. */
function sayOutlook(report: BikeReport, answer: WearAnswer, units: Units): string {
  const action = recommend(report, answer)?.action
  if (action === 'measure') return 'Measure it again.'
  if (action === 'swap-chain') return 'Swap it now.'
  if (action === 'swap-chain-and-cogs') return 'Swap it now, and the cogs with it.'
  const { p10, p50, p90 } = answer.toLimitKm
  if (p50 >= FORECAST_CAP_KM) return 'It has a long way to go.'
  const from = p10 <= 0 ? 'now' : sayAboutKm(p10, units)
  return `Swap it in about ${sayAboutKm(p50, units)}, probably ${from} to ${sayAboutKm(p90, units)}.`
}

/** The verdict on a chain in one sentence: how worn, how sure, how far it goes. */
export function verdictSentence(report: BikeReport, answer: WearAnswer | undefined, units: Units): ReactNode {
  const name = report.bike.entry.name
  if (!report.chain) return `No chain is entered for ${name} yet.`
  if (report.chain.lastReadingAt === undefined) {
    const advice = recommend(report, answer)
    // New, and not due: there is nothing to measure yet.
    if (answer && advice?.lookInKm !== undefined)
      return `${name}’s chain is new: ride it. First look in ${sayAboutKm(advice.lookInKm, units)}.`
    return advice ? `${name}’s chain is not measured yet.` : `Working out ${name}’s chain…`
  }
  if (!answer) return `Working out ${name}’s chain…`
  const { mean, p05, p95 } = answer.now
  return (
    <>
      {name}’s chain is at <strong className="font-bold">{sayPercent(mean)}</strong>, probably{' '}
      {sayFigure(p05)} to {sayFigure(p95)}.{' '}
      <strong className="font-bold">{sayOutlook(report, answer, units)}</strong>
    </>
  )
}

/** Grounds of the verdict: how many readings with what, and the limit with its reason. */
export function verdictGrounds(report: BikeReport, chain: ChainReport, answer?: WearAnswer): string {
  const used = chain.readings.filter((state) => state.used)
  const instruments = [...new Set(used.map(({ entry }) => SHORT_INSTRUMENT[entry.reading.instrument]))]
  const limit = keepUnits(
    `The limit for this bike is ${sayLimit(report.limit.percent)} %: ${report.limit.reason}.`,
  )
  if (used.length === 0) return limit
  const doubt =
    answer && answer.untoldPast >= 0.5
      ? ' The readings do not fit the distance in the log. Is a ride or a swap missing?'
      : ''
  return keepUnits(`${sayCount(used.length, 'reading')} with ${sayList(instruments)}.${doubt} ${limit}`)
}

/** When to look again, in distance and on the calendar. */
export function sayNextLook(answer: WearAnswer, units: Units, now: string): string {
  if (answer.nextLookKm <= 0) return 'Look again now.'
  const days = answer.toLimitDays?.p10
  const day = days !== undefined && days < 1500 ? `, around ${sayDay(addDays(now, days), now)}` : ''
  return `Next look in ${sayAboutKm(answer.nextLookKm, units)}${day}.`
}

/** The date at which the limit is likely reached, with its 80 % interval. */
export function sayLimitDates(answer: WearAnswer, now: string): string {
  const days = answer.toLimitDays
  if (!days) return 'No rides in the last twelve weeks, so there is no date.'
  const far = (value: number) => (value > 1500 ? 'in more than four years' : sayDay(addDays(now, value), now))
  if (days.p90 <= 0) return 'It is there already.'
  return `By date: about ${far(days.p50)}, probably between ${days.p10 <= 0 ? 'now' : far(days.p10)} and ${far(days.p90)}.`
}

/** The last reading, and how long ago. */
export const sayLastReading = (chain: ChainReport, now: string): string =>
  chain.lastReadingAt === undefined ? 'never measured' : `last measured ${sayAgo(chain.lastReadingAt, now)}`

import type { BikeReport } from '../core/strategy/facts/bike-report.ts'
import type { Verdict } from '../core/strategy/verdict.ts'
import { FORECAST_CAP_KM } from '../core/wear/rider-forecast.ts'
import type { WearAnswer } from '../core/wear/outlook.ts'
import type { Units } from '../core/units/units.ts'
import { sayAboutKm, sayFigure, sayLimit, sayPercent } from './numbers.ts'

/** What a small road shows, as a sentence: where the chain is, its limit, the next look and the lube left. */
export function sayRoad(report: BikeReport, answer: WearAnswer, verdict: Verdict, units: Units): string {
  const { mean, p05, p95 } = answer.now
  const { p10, p50, p90 } = answer.toLimitKm
  const km = (value: number): string => sayAboutKm(value, units)
  const limit = `${sayLimit(report.limit.percent)}\u00a0%`
  const ahead =
    p90 <= 0
      ? `past its limit of ${limit}`
      : p50 >= FORECAST_CAP_KM
        ? `its limit of ${limit} far ahead`
        : `its limit of ${limit} in about ${km(p50)}, probably ${p10 <= 0 ? 'now' : km(p10)} to ${km(p90)}`
  const { look, lube } = verdict
  const lookSaid = !look
    ? ''
    : look.before
      ? `; next look before ${look.before.name}`
      : (look.inKm ?? 0) <= 0
        ? '; a look is due'
        : `; next look in ${km(look.inKm ?? 0)}`
  const lubeSaid = !lube ? '' : lube.inKm <= 0 ? '; lube is due' : `; lube for ${km(lube.inKm)} more`
  return `${report.bike.entry.name}’s chain so far and ahead: ${sayPercent(mean)} now, probably ${sayFigure(p05)} to ${sayFigure(p95)}; ${ahead}${lookSaid}${lubeSaid}.`
}

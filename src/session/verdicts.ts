import { useMemo } from 'react'
import type { BikeId } from '../core/log/entry.ts'
import type { BikeReport } from '../core/strategy/facts/bike-report.ts'
import { verdictOf, type Verdict } from '../core/strategy/verdict.ts'
import { useAllReports, useBikeReport } from './log-context.ts'
import { useForecast, useForecastsOf, type Forecast } from './use-forecasts.ts'

/** A bike, what the wear model says of its chain, and the one verdict on both. */
export interface JudgedBike extends Forecast {
  readonly report: BikeReport
  /** Undefined while it is being worked out. */
  readonly verdict: Verdict | undefined
}

const judged = (report: BikeReport, forecast: Forecast): JudgedBike => ({
  report,
  ...forecast,
  verdict: verdictOf(report, forecast.answer),
})

/** A bike with the verdict on it; undefined where there is no such bike. */
export function useJudged(bike: BikeId | undefined): JudgedBike | undefined {
  const report = useBikeReport(bike)
  const forecast = useForecast(report?.chain?.part.entry.part)
  return useMemo(() => report && judged(report, forecast), [report, forecast])
}

/** Every bike with the verdict on it. */
export function useAllJudged(): readonly JudgedBike[] {
  const reports = useAllReports()
  const forecasts = useForecastsOf(reports.map((report) => report.chain?.part.entry.part))
  return reports.flatMap((report, i) => {
    const forecast = forecasts[i]
    return forecast ? [judged(report, forecast)] : []
  })
}

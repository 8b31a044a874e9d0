import { useMemo } from 'react'
import type { BikeId } from '../core/log/entry.ts'
import type { BikeReport } from '../core/strategy/facts/bike-report.ts'
import { verdictOf, type Verdict } from '../core/strategy/verdict.ts'
import type { TeethOutlook } from '../core/teeth/teeth-outlook.ts'
import { useTeeth, useTeethOf, type TeethKnown } from './teeth-store.ts'
import { useAllReports, useBikeReport } from './log-context.ts'
import { useForecast, useForecastsOf, type Forecast } from './use-forecasts.ts'

/** A bike, what the wear model says of its chain, and the one verdict on both. */
export interface JudgedBike extends Forecast {
  readonly report: BikeReport
  /** Undefined until it is worked out. */
  readonly teeth: TeethOutlook | undefined
  /** Undefined while it is being worked out. */
  readonly verdict: Verdict | undefined
}

const judged = (report: BikeReport, forecast: Forecast, { outlook }: TeethKnown): JudgedBike => ({
  report,
  ...forecast,
  teeth: outlook,
  verdict: verdictOf(report, forecast.answer, outlook),
})

/** A bike with the verdict on it; undefined where there is no such bike. */
export function useJudged(bike: BikeId | undefined): JudgedBike | undefined {
  const report = useBikeReport(bike)
  const forecast = useForecast(report?.chain?.part.entry.part)
  const teeth = useTeeth(bike)
  return useMemo(() => report && judged(report, forecast, teeth), [report, forecast, teeth])
}

/** Every bike with the verdict on it. */
export function useAllJudged(): readonly JudgedBike[] {
  const reports = useAllReports()
  const forecasts = useForecastsOf(reports.map((report) => report.chain?.part.entry.part))
  const teeth = useTeethOf(useMemo(() => reports.map(({ bike }) => bike.entry.bike), [reports]))
  return reports.flatMap((report, i) => {
    const [forecast, known] = [forecasts[i], teeth[i]]
    return forecast && known ? [judged(report, forecast, known)] : []
  })
}

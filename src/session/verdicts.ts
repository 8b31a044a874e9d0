import { useMemo } from 'react'
import type { BikeId } from '../core/log/entry.ts'
import type { BikeReport } from '../core/strategy/facts/bike-report.ts'
import { verdictOf, type Verdict } from '../core/strategy/verdict.ts'
import type { TeethOutlook } from '../core/teeth/teeth-outlook.ts'
import { useTeeth, useTeethOf, type TeethKnown } from './teeth-store.ts'
import { useAllReports, useBikeReport, useReportsInTurn } from './log-context.ts'
import { useForecast, useForecastsOf, type Forecast } from './use-forecasts.ts'

/** A bike, what the wear model says of its chain, and the one verdict on both. */
export interface JudgedBike extends Forecast {
  readonly report: BikeReport
  /** Undefined until it is worked out. */
  readonly teeth: TeethOutlook | undefined
  /** Undefined while it is being worked out. */
  readonly verdict: Verdict | undefined
}

const made = new WeakMap<BikeReport, JudgedBike>()

/** The very same object for as long as nothing it rests on changes: a workshop's list is drawn with every answer. */
function judged(report: BikeReport, forecast: Forecast, { outlook: teeth }: TeethKnown): JudgedBike {
  const { answer, fresh, fault } = forecast
  const before = made.get(report)
  if (
    before?.answer === answer &&
    before?.fresh === fresh &&
    before.fault === fault &&
    before.teeth === teeth
  )
    return before
  const bike = { report, ...forecast, teeth, verdict: verdictOf(report, answer, teeth) }
  made.set(report, bike)
  return bike
}

/** A bike with the verdict on it; undefined where there is no such bike. */
export function useJudged(bike: BikeId | undefined): JudgedBike | undefined {
  const report = useBikeReport(bike)
  const forecast = useForecast(report?.chain?.part.entry.part)
  const teeth = useTeeth(bike)
  return useMemo(() => report && judged(report, forecast, teeth), [report, forecast, teeth])
}

const NONE: readonly BikeReport[] = []

function useJudgedOf(reports: readonly BikeReport[]): readonly JudgedBike[] {
  const forecasts = useForecastsOf(reports.map((report) => report.chain?.part.entry.part))
  const teeth = useTeethOf(useMemo(() => reports.map(({ bike }) => bike.entry.bike), [reports]))
  return reports.flatMap((report, i) => {
    const [forecast, known] = [forecasts[i], teeth[i]]
    return forecast && known ? [judged(report, forecast, known)] : []
  })
}

/** Every bike with the verdict on it. */
export const useAllJudged = (): readonly JudgedBike[] => useJudgedOf(useAllReports())

/** The same without holding up the page; undefined while a workshop's bikes are gone through for the first time. */
export function useJudgedInTurn(): readonly JudgedBike[] | undefined {
  const reports = useReportsInTurn()
  const bikes = useJudgedOf(reports ?? NONE)
  return reports && bikes
}

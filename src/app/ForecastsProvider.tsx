import { useEffect, useState, type ReactNode } from 'react'
import { askedAt } from '../core/strategy/rider-ask.ts'
import { useOpenLog } from '../session/log-context.ts'
import { keepForecast, readForecast } from '../store/forecasts.ts'
import { forecastKeeper, type KeptOutlook } from '../workers/forecast-keeper.ts'
import { ForecastsContext } from '../workers/use-forecasts.ts'
import { workOutlook } from '../workers/wear-worker.ts'
import { forecastStore } from './forecast-store.ts'
import { ledger } from './world.ts'

const keptForecasts = () =>
  forecastStore(
    forecastKeeper({
      work: workOutlook,
      load: async (group) => (await readForecast(ledger.database, group)) as KeptOutlook | undefined,
      save: (group, kept) => keepForecast(ledger.database, { group, ...kept }),
    }),
  )

/** Keeps the forecasts of the open log at hand for every station, from one visit to the next. */
export function ForecastsProvider({ children }: { readonly children: ReactNode }) {
  const { garage, now } = useOpenLog()
  const [store] = useState(keptForecasts)
  const day = askedAt(now)
  useEffect(() => store.follow(garage, day), [store, garage, day])
  return <ForecastsContext value={store}>{children}</ForecastsContext>
}

import { useDeferredValue, useEffect, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react'
import { askedAt, riderGroups } from '../core/strategy/rider-ask.ts'
import { keepForecast, readForecast } from '../store/forecasts.ts'
import { useOpenLog } from '../session/log-context.ts'
import { forecastKeeper, type KeptOutlook } from '../workers/forecast-keeper.ts'
import { ForecastsContext } from '../workers/use-forecasts.ts'
import { workOutlook } from '../workers/wear-worker.ts'
import { ledger } from './world.ts'

const keeper = () =>
  forecastKeeper({
    work: workOutlook,
    load: async (group) => (await readForecast(ledger.database, group)) as KeptOutlook | undefined,
    save: (group, kept) => keepForecast(ledger.database, { group, ...kept }),
  })

/** Keeps the forecasts of the open log at hand for every station, from one visit to the next. */
export function ForecastsProvider({ children }: { readonly children: ReactNode }) {
  const { garage, now } = useOpenLog()
  const [{ want, wanted, known, subscribe, stop, resume }] = useState(keeper)
  const day = askedAt(now)
  // What was just written is shown first; then is asked what it changes.
  const settled = useDeferredValue(garage)
  const asked = useMemo(() => riderGroups(settled, day), [settled, day])
  useEffect(() => want(asked), [want, asked])
  const groups = useSyncExternalStore(subscribe, known)
  // From the moment something is written until the keeper has heard of it, nothing that is known is of the log as it is.
  const isOfLog = settled === garage && wanted() === asked
  const forecasts = useMemo(
    () => ({
      groups: isOfLog ? groups : groups.map((group) => ({ ...group, fresh: false })),
      stop,
      resume,
    }),
    [groups, isOfLog, stop, resume],
  )
  return <ForecastsContext value={forecasts}>{children}</ForecastsContext>
}

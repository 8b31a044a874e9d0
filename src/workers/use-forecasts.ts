import { createContext, useContext, useEffect, useMemo, useState } from 'react'
import type { PartId } from '../core/log/entries.ts'
import type { NextReadingAnswer } from '../core/measure/next-reading.ts'
import type { NextLookQuestion } from '../core/wear/next-look-value.ts'
import type { WearAnswer } from '../core/wear/outlook.ts'
import { answerFor, type GroupForecast } from './forecast-keeper.ts'
import { workNextLook } from './wear-worker.ts'

/** The forecasts of every rider in the log, and the means to stop and resume their work. */
export interface Forecasts {
  readonly groups: readonly GroupForecast[]
  readonly stop: () => void
  readonly resume: () => void
}

export const ForecastsContext = createContext<Forecasts | undefined>(undefined)

/** The forecasts of the open log. Only within the shell, which keeps them. */
export function useForecasts(): Forecasts {
  const forecasts = useContext(ForecastsContext)
  if (!forecasts) throw new Error('No forecasts are kept here.')
  return forecasts
}

/** What is known of a chain on a bike, and how it stands with it. */
export interface Forecast {
  /** Undefined until it is worked out for the first time; of an earlier state of the log where it is not fresh. */
  readonly answer: WearAnswer | undefined
  readonly fresh: boolean
  /** What went wrong, if anything did. */
  readonly fault: string | undefined
}

function forecastOf(groups: readonly GroupForecast[], chain: PartId | undefined): Forecast {
  const found = answerFor(groups, chain)
  const { answer } = found ?? {}
  return {
    answer: answer && 'toLimitKm' in answer ? answer : undefined,
    fresh: found?.group.fresh ?? false,
    fault: found?.group.fault,
  }
}

/** How worn a chain on a bike is, and how far it goes. */
export const useForecast = (chain: PartId | undefined): Forecast => forecastOf(useForecasts().groups, chain)

/** The same of several chains, in their order. */
export function useForecastsOf(chains: readonly (PartId | undefined)[]): readonly Forecast[] {
  const { groups } = useForecasts()
  return chains.map((chain) => forecastOf(groups, chain))
}

/** What one more reading would be worth, worked out in the worker; undefined until it is. */
export function useNextLook(question: NextLookQuestion | undefined): NextReadingAnswer | undefined {
  const key = useMemo(() => (question ? JSON.stringify(question) : undefined), [question])
  const [known, setKnown] = useState<{ readonly key: string; readonly answer: NextReadingAnswer }>()
  useEffect(() => {
    if (!question || key === undefined) return undefined
    let wanted = true
    workNextLook(question).then(
      (answer) => wanted && setKnown({ key, answer }),
      // Without an answer nothing is claimed: the panel stays away.
      () => undefined,
    )
    return () => {
      wanted = false
    }
  }, [question, key])
  return known?.key === key ? known?.answer : undefined
}

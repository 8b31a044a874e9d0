import { createContext, useContext, useEffect, useMemo, useState } from 'react'
import type { PartId } from '../core/log/entries.ts'
import type { NextReadingAnswer } from '../core/measure/next-reading.ts'
import type { NextLookQuestion } from '../core/wear/next-look-value.ts'
import type { ChainNow, WearAnswer } from '../core/wear/outlook.ts'
import { answerFor, type GroupForecast } from './forecast-keeper.ts'
import { wearWorker } from './wear-worker.ts'

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

/** What is known of a chain, and how it stands with it. */
export interface Forecast<A> {
  /** Undefined until it is worked out for the first time; of an earlier state of the log where it is not fresh. */
  readonly answer: A | undefined
  readonly fresh: boolean
  /** What went wrong, if anything did. */
  readonly fault: string | undefined
}

/** How worn a chain is, on a bike or not. */
export function useChainNow(chain: PartId | undefined): Forecast<ChainNow> {
  const { groups } = useForecasts()
  const found = answerFor(groups, chain)
  return { answer: found?.answer, fresh: found?.group.fresh ?? false, fault: found?.group.fault }
}

const isOnBike = (answer: ChainNow | WearAnswer | undefined): answer is WearAnswer =>
  answer !== undefined && 'toLimitKm' in answer

/** How worn a chain on a bike is, and how far it goes. */
export function useForecast(chain: PartId | undefined): Forecast<WearAnswer> {
  const { answer, ...rest } = useChainNow(chain)
  return { ...rest, answer: isOnBike(answer) ? answer : undefined }
}

/** The same of several chains, in their order. */
export function useForecastsOf(chains: readonly (PartId | undefined)[]): readonly Forecast<WearAnswer>[] {
  const { groups } = useForecasts()
  return chains.map((chain) => {
    const found = answerFor(groups, chain)
    return {
      answer: isOnBike(found?.answer) ? found.answer : undefined,
      fresh: found?.group.fresh ?? false,
      fault: found?.group.fault,
    }
  })
}

/** What one more reading would be worth, worked out in the worker; undefined until it is. */
export function useNextLook(question: NextLookQuestion | undefined): NextReadingAnswer | undefined {
  const key = useMemo(() => (question ? JSON.stringify(question) : undefined), [question])
  const [known, setKnown] = useState<{ readonly key: string; readonly answer: NextReadingAnswer }>()
  useEffect(() => {
    if (!question || key === undefined) return undefined
    let wanted = true
    wearWorker()
      .nextLook(question)
      .then(
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

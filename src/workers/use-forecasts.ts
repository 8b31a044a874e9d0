import { createContext, useContext, useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { PartId } from '../core/log/entry.ts'
import type { NextReadingAnswer } from '../core/measure/next-reading.ts'
import type { NextLookQuestion } from '../core/wear/next-look-value.ts'
import type { ChainNow, WearAnswer } from '../core/wear/outlook.ts'
import { answerFor, type GroupForecast } from './forecast-keeper.ts'
import { workNextLook } from './wear-worker.ts'

/** The forecasts of every rider in the log, as they come in, and the means to stop and resume their work. */
export interface ForecastStore {
  readonly subscribe: (onChange: () => void) => () => void
  /** The very same list, and the same objects in it, for as long as nothing changes. */
  readonly groups: () => readonly GroupForecast[]
  readonly stop: () => void
  readonly resume: () => void
}

export const ForecastsContext = createContext<ForecastStore | undefined>(undefined)

function useStore(): ForecastStore {
  const store = useContext(ForecastsContext)
  if (!store) throw new Error('No forecasts are kept here.')
  return store
}

/** All forecasts of the open log. Whoever needs those of some chains only asks for these, and is drawn less often. */
export function useForecasts(): Pick<ForecastStore, 'stop' | 'resume'> & {
  readonly groups: readonly GroupForecast[]
} {
  const { subscribe, groups, stop, resume } = useStore()
  return { groups: useSyncExternalStore(subscribe, groups), stop, resume }
}

/** What is known of a chain on a bike, and how it stands with it. */
export interface Forecast {
  /** Undefined until it is worked out for the first time; of an earlier state of the log where it is not fresh. */
  readonly answer: WearAnswer | undefined
  readonly fresh: boolean
  /** What went wrong, if anything did. */
  readonly fault: string | undefined
}

const NOTHING: Forecast = { answer: undefined, fresh: false, fault: undefined }

function forecastOf(groups: readonly GroupForecast[], chain: PartId | undefined): Forecast {
  const found = answerFor(groups, chain)
  if (!found) return NOTHING
  const { answer, group } = found
  return {
    answer: answer && 'toLimitKm' in answer ? answer : undefined,
    fresh: group.fresh,
    fault: group.fault,
  }
}

const isSame = (a: Forecast, b: Forecast): boolean =>
  a.answer === b.answer && a.fresh === b.fresh && a.fault === b.fault

/** A reader of something that gives the very same value again for as long as it says the same. */
function steady<T>(read: () => T, isEqual: (a: T, b: T) => boolean): () => T {
  let held: T | undefined
  return () => {
    const next = read()
    if (held === undefined || !isEqual(held, next)) held = next
    return held
  }
}

/** How worn a chain on a bike is, and how far it goes. */
export function useForecast(chain: PartId | undefined): Forecast {
  const { subscribe, groups } = useStore()
  const read = useMemo(() => steady(() => forecastOf(groups(), chain), isSame), [groups, chain])
  return useSyncExternalStore(subscribe, read)
}

type Answers = readonly (ChainNow | WearAnswer | undefined)[]

/** What is known of several chains, on a bike or not, in their order. */
export function useAnswers(chains: readonly PartId[]): Answers {
  const { subscribe, groups } = useStore()
  const read = useMemo(
    () =>
      steady<Answers>(
        () => chains.map((chain) => answerFor(groups(), chain)?.answer),
        (a, b) => a.every((answer, i) => answer === b[i]),
      ),
    [groups, chains],
  )
  return useSyncExternalStore(subscribe, read)
}

/** How it stands with several chains, in their order. */
export function useForecastsOf(chains: readonly (PartId | undefined)[]): readonly Forecast[] {
  const { groups } = useForecasts()
  return chains.map((chain) => forecastOf(groups, chain))
}

/** What another reading would tell you, worked out in the worker; undefined until it is. */
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

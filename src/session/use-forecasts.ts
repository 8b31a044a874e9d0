import { createContext, useContext, useEffect, useMemo, useSyncExternalStore } from 'react'
import type { BikeId, PartId } from '../core/log/entry.ts'
import { onBike, type ChainNow, type WearAnswer } from '../core/wear/outlook.ts'
import type { KeptDraws } from '../core/wear/kept-draws.ts'
import type { RiderOutlook } from '../core/wear/rider-outlook.ts'

/** What is known of one rider's chains at the moment. */
export interface GroupForecast {
  readonly id: string
  readonly bikes: readonly BikeId[]
  readonly chains: readonly PartId[]
  /** The newest there is; of an earlier state of the log where it is not fresh. */
  readonly outlook?: RiderOutlook
  readonly fresh: boolean
  /** Share of the work that is done, while it is being done. */
  readonly progress?: number
  readonly stopped?: true
  readonly fault?: string
}

const byChain = new WeakMap<readonly GroupForecast[], ReadonlyMap<PartId, GroupForecast>>()

/** The group of each chain. Gathered once for each list: a workshop has thousands of chains. */
function groupsByChain(groups: readonly GroupForecast[]): ReadonlyMap<PartId, GroupForecast> {
  const held = byChain.get(groups)
  if (held) return held
  const made = new Map(groups.flatMap((group) => group.chains.map((chain) => [chain, group] as const)))
  byChain.set(groups, made)
  return made
}

/** What is known of one chain; undefined until it is worked out for the first time. */
export function answerFor(
  groups: readonly GroupForecast[],
  chain: PartId | undefined,
): { readonly group: GroupForecast; readonly answer: ChainNow | WearAnswer | undefined } | undefined {
  if (chain === undefined) return undefined
  const group = groupsByChain(groups).get(chain)
  return group && { group, answer: group.outlook?.chains[chain] }
}

/** The forecasts of every rider in the log, as they come in, and the means to stop and resume their work. */
export interface ForecastStore {
  readonly subscribe: (onChange: () => void) => () => void
  /** The very same list, and the same objects in it, for as long as nothing changes. */
  readonly groups: () => readonly GroupForecast[]
  readonly stop: () => void
  readonly resume: () => void
  /** Says which bikes are looked at: what is not known of them yet is worked out before the rest. */
  readonly askFirst: (bikes: readonly BikeId[]) => void
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
    answer: onBike(answer),
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

/** The posterior's draws that hold a chain, for what is simulated from them; undefined until they are there. */
export function useDrawsOf(chain: PartId | undefined): KeptDraws | undefined {
  const { subscribe, groups } = useStore()
  return useSyncExternalStore(subscribe, () => answerFor(groups(), chain)?.group.outlook?.draws)
}

/** Has the forecasts of some bikes worked out before the others', for as long as they are looked at. */
export function useAskFirst(bikes: readonly BikeId[]): void {
  const { askFirst } = useStore()
  useEffect(() => {
    if (bikes.length > 0) askFirst(bikes)
  }, [askFirst, bikes])
}

/** How it stands with several chains, in their order. */
export function useForecastsOf(chains: readonly (PartId | undefined)[]): readonly Forecast[] {
  const { groups } = useForecasts()
  return chains.map((chain) => forecastOf(groups, chain))
}

import { createContext, useContext, useMemo, useSyncExternalStore } from 'react'
import type { BikeId } from '../core/log/entry.ts'
import type { Garage } from '../core/log/garage.ts'
import { teethAsk } from '../core/strategy/teeth-ask.ts'
import type { TeethAsk } from '../core/teeth/asked-teeth.ts'
import type { TeethOutlook } from '../core/teeth/teeth-outlook.ts'
import type { RiderOutlook } from '../core/wear/rider-outlook.ts'
import { questionText, type AnswerKeeper } from '../workers/answer-keeper.ts'
import { inSlices } from './in-slices.ts'
import type { ForecastStore, GroupForecast } from './use-forecasts.ts'

/** What is known of the teeth of a bike's sprockets. */
export interface TeethKnown {
  /** Undefined until it is worked out for the first time. */
  readonly outlook: TeethOutlook | undefined
  readonly fresh: boolean
  readonly fault: string | undefined
  /** It is being worked out for the first time. */
  readonly isWorking: boolean
}

/** The teeth of every rider in the log, as they come in. */
export interface TeethStore {
  readonly subscribe: (onChange: () => void) => () => void
  readonly of: (bike: BikeId) => TeethKnown
}

/** Teeth in step with the log and with what is known of the chains. */
export interface KeptTeeth extends TeethStore {
  readonly follow: (garage: Garage) => void
}

const NOTHING: TeethKnown = { outlook: undefined, fresh: false, fault: undefined, isWorking: false }

/** What a question about teeth is made of: where none of it changed it is asked as it was. */
interface Asked {
  readonly from: readonly unknown[]
  readonly ask: TeethAsk
  /** Why nothing can be asked about these teeth. */
  readonly fault?: string
}

const isSame = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i])

/** The question about a rider's teeth; the one before where nothing that it is made of has changed. */
function askOf(group: GroupForecast, outlook: RiderOutlook, log: Garage, before: Asked | undefined): Asked {
  const from = [
    outlook,
    log.parts,
    log.looks,
    log.listed['cog-test'],
    log.listed.picture,
    ...group.bikes.map((bike) => log.bikes.get(bike)),
  ]
  if (before && isSame(before.from, from)) return before
  try {
    return { from, ask: teethAsk(log, new Set(group.bikes), outlook.draws) }
  } catch (error) {
    // One odd bike must not cost the others what is known of their teeth.
    const ask = { named: `nothing of ${group.id}`, draws: outlook.draws, sets: [], seed: 0 }
    return { from, ask, fault: error instanceof Error ? error.message : String(error) }
  }
}

/** Asks about teeth whenever what is known of the chains, or what was found out about teeth, has changed. */
export function teethStore(keeper: AnswerKeeper<'teeth-outlook'>, forecasts: ForecastStore): KeptTeeth {
  let garage: Garage | undefined
  let groups: readonly GroupForecast[] = []
  let asked = new Map<string, Asked>()
  /** Questions that were put together, asked or not. */
  const put = new Map<string, Asked>()
  let bikesOf = new Map<BikeId, string>()
  const known = new Map<string, { readonly from: unknown; readonly said: TeethKnown }>()

  function* questions(log: Garage): Generator<void, Map<string, Asked>, undefined> {
    const next = new Map<string, Asked>()
    for (const group of groups) {
      // An answer about an older log asks for nothing new: the fresh one is on its way.
      if (!group.outlook) continue
      const before = asked.get(group.id)
      const one = group.fresh || !before ? askOf(group, group.outlook, log, put.get(group.id)) : before
      // Kept at once: where other answers come in meanwhile it is not put together a second time.
      put.set(group.id, one)
      next.set(group.id, one)
      questionText(one.ask)
      yield
    }
    return next
  }
  const askAnew = (): void => {
    const log = garage
    const mine = forecasts.groups()
    groups = mine
    if (!log) return
    void inSlices(questions(log), () => groups === mine && garage === log).then((next) => {
      if (!next) return
      bikesOf = new Map(mine.flatMap(({ id, bikes }) => bikes.map((bike) => [bike, id] as const)))
      const isAsSaid = next.size === asked.size && [...next].every(([id, one]) => asked.get(id) === one)
      if (isAsSaid) return
      asked = next
      keeper.want(
        [...next].map(([about, { ask, fault }]) => ({
          about,
          question: ask,
          ...(fault !== undefined && { fault }),
        })),
      )
    })
  }
  forecasts.subscribe(() => {
    if (forecasts.groups() !== groups) askAnew()
  })
  return {
    subscribe: keeper.subscribe,
    of: (bike) => {
      const id = bikesOf.get(bike)
      const one = id === undefined ? undefined : keeper.known().find(({ about }) => about === id)
      if (!one || id === undefined) return NOTHING
      const before = known.get(id)
      if (before?.from === one) return before.said
      const said: TeethKnown = {
        outlook: one.answer,
        fresh: one.fresh,
        fault: one.fault,
        isWorking: one.answer === undefined && one.fault === undefined,
      }
      known.set(id, { from: one, said })
      return said
    },
    follow: (log) => {
      garage = log
      askAnew()
    },
  }
}

export const TeethContext = createContext<TeethStore | undefined>(undefined)

const NO_STORE: TeethStore = { subscribe: () => () => undefined, of: () => NOTHING }

/** What is known of the teeth of a bike's sprockets. */
export function useTeeth(bike: BikeId | undefined): TeethKnown {
  const { subscribe, of } = useContext(TeethContext) ?? NO_STORE
  const read = useMemo(() => () => (bike === undefined ? NOTHING : of(bike)), [of, bike])
  return useSyncExternalStore(subscribe, read)
}

/** The same of several bikes, in their order. */
export function useTeethOf(bikes: readonly BikeId[]): readonly TeethKnown[] {
  const { subscribe, of } = useContext(TeethContext) ?? NO_STORE
  const read = useMemo(() => {
    let held: readonly TeethKnown[] = []
    return () => {
      const next = bikes.map(of)
      if (!isSame(held, next)) held = next
      return held
    }
  }, [of, bikes])
  return useSyncExternalStore(subscribe, read)
}

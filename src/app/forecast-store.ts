import { riderGroupSteps, type AskedBefore, type RiderGroup } from '../core/strategy/rider-ask.ts'
import type { IsoTime } from '../core/log/entry.ts'
import type { Garage } from '../core/log/garage.ts'
import { askText, type ForecastKeeper, type GroupForecast } from '../workers/forecast-keeper.ts'
import type { ForecastStore } from '../workers/use-forecasts.ts'

/** Questions are put together for so long at a time, ms: then the page may be drawn. */
const SLICE_MS = 10

const drawn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve))

/** Questions to the wear model, put together without holding up the page. */
async function askInSlices(
  garage: Garage,
  now: IsoTime,
  before: AskedBefore | undefined,
  isWanted: () => boolean,
): Promise<readonly RiderGroup[] | undefined> {
  await drawn()
  const groups: RiderGroup[] = []
  let began = performance.now()
  for (const group of riderGroupSteps(garage, now, before)) {
    askText(group.ask)
    groups.push(group)
    if (performance.now() - began < SLICE_MS) continue
    await drawn()
    if (!isWanted()) return undefined
    began = performance.now()
  }
  return isWanted() ? groups : undefined
}

/** The forecasts as the screens see them, and the log they are to be of. */
export interface KeptForecasts extends ForecastStore {
  /** Says how the log stands; what it changes is asked a moment later. */
  readonly follow: (garage: Garage, now: IsoTime) => void
}

/** Keeps the keeper in step with the log: what is known of an earlier log is shown as such until it is asked anew. */
export function forecastStore(keeper: ForecastKeeper): KeptForecasts {
  let followed: { readonly garage: Garage; readonly now: IsoTime } | undefined
  let asked: AskedBefore | undefined
  const listeners = new Set<() => void>()
  const older = new WeakMap<GroupForecast, GroupForecast>()
  let shown: {
    readonly from: readonly GroupForecast[]
    readonly isOfLog: boolean
    readonly groups: readonly GroupForecast[]
  } = { from: [], isOfLog: true, groups: [] }

  const tell = (): void => {
    for (const listener of listeners) listener()
  }
  keeper.subscribe(tell)
  const asOlder = (group: GroupForecast): GroupForecast => {
    if (!group.fresh) return group
    const known = older.get(group) ?? { ...group, fresh: false }
    older.set(group, known)
    return known
  }
  return {
    groups: () => {
      const from = keeper.known()
      // From the moment something is written until the keeper has heard of it, nothing that is known is of the log as it is.
      const isOfLog = asked !== undefined && asked.garage === followed?.garage && asked.now === followed.now
      if (shown.from !== from || shown.isOfLog !== isOfLog)
        shown = { from, isOfLog, groups: isOfLog ? from : from.map(asOlder) }
      return shown.groups
    },
    subscribe: (onChange) => {
      listeners.add(onChange)
      return () => void listeners.delete(onChange)
    },
    follow: (garage, now) => {
      if (followed?.garage === garage && followed.now === now) return
      const mine = { garage, now }
      followed = mine
      tell()
      void askInSlices(garage, now, asked, () => followed === mine).then((groups) => {
        if (!groups) return
        asked = { garage, now, groups }
        keeper.want(groups)
        tell()
      })
    },
    stop: keeper.stop,
    resume: keeper.resume,
  }
}

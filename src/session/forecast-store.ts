import type { IsoTime } from '../core/log/entry.ts'
import type { Garage } from '../core/log/garage.ts'
import { riderGroupSteps, type AskedBefore, type RiderGroup } from '../core/strategy/rider-ask.ts'
import { questionText, type AnswerKeeper, type Known } from '../workers/answer-keeper.ts'
import type { Answer } from '../workers/jobs.ts'
import { inSlices } from './in-slices.ts'
import type { ForecastStore, GroupForecast } from './use-forecasts.ts'

/** Questions to the wear model, each with its text, which tells it from others. */
function* questions(
  ...of: Parameters<typeof riderGroupSteps>
): Generator<void, readonly RiderGroup[], undefined> {
  const groups = yield* riderGroupSteps(...of)
  for (const { ask } of groups) {
    questionText(ask)
    yield
  }
  return groups
}

/** Questions to the wear model, put together once the page is drawn and without holding it up. */
async function askInSlices(
  garage: Garage,
  now: IsoTime,
  before: AskedBefore | undefined,
  isWanted: () => boolean,
): Promise<readonly RiderGroup[] | undefined> {
  await new Promise((resolve) => setTimeout(resolve))
  if (!isWanted()) return undefined
  const groups = await inSlices(questions(garage, now, before), isWanted)
  return isWanted() ? groups : undefined
}

/** The forecasts as the screens see them, and the log they are to be of. */
export interface KeptForecasts extends ForecastStore {
  /** Says how the log stands; what it changes is asked a moment later. */
  readonly follow: (garage: Garage, now: IsoTime) => void
}

const NO_ASK = { bikes: [], chains: [] }

type KnownOutlook = Known<Answer<'rider-outlook'>>

/** Keeps the keeper in step with the log: what is known of an earlier log is shown as such until it is asked again. */
export function forecastStore(keeper: AnswerKeeper<'rider-outlook'>): KeptForecasts {
  let followed: { readonly garage: Garage; readonly now: IsoTime } | undefined
  let asked: AskedBefore | undefined
  const listeners = new Set<() => void>()
  const ofLog = new WeakMap<KnownOutlook, GroupForecast>()
  const ofOlderLog = new WeakMap<KnownOutlook, GroupForecast>()
  let shown: {
    readonly from: readonly KnownOutlook[]
    readonly isOfLog: boolean
    readonly groups: readonly GroupForecast[]
  } = { from: [], isOfLog: true, groups: [] }

  const tell = (): void => {
    for (const listener of listeners) listener()
  }
  keeper.subscribe(tell)
  /** The very same object for the same state of things. */
  const groupOf = (
    known: KnownOutlook,
    isOfLog: boolean,
    asks: Pick<GroupForecast, 'bikes' | 'chains'>,
  ): GroupForecast => {
    const made = isOfLog ? ofLog : ofOlderLog
    const before = made.get(known)
    if (before) return before
    const { about: id, answer: outlook, fresh, ...rest } = known
    const group = { id, ...asks, fresh: fresh && isOfLog, ...(outlook && { outlook }), ...rest }
    made.set(known, group)
    return group
  }
  return {
    groups: () => {
      const from = keeper.known()
      // From the moment something is written until it is asked, nothing that is known is of the log as it is.
      const isOfLog = asked !== undefined && asked.garage === followed?.garage && asked.now === followed.now
      if (shown.from !== from || shown.isOfLog !== isOfLog) {
        const asks = new Map(asked?.groups.map(({ id, bikes, chains }) => [id, { bikes, chains }]))
        const groups = from.map((known) => groupOf(known, isOfLog, asks.get(known.about) ?? NO_ASK))
        shown = { from, isOfLog, groups }
      }
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
        keeper.want(
          groups.map(({ id, ask, fault }) => ({
            about: id,
            question: ask,
            ...(fault !== undefined && { fault }),
          })),
        )
        tell()
      })
    },
    askFirst: (bikes) => {
      const wanted = new Set(bikes)
      keeper.first(
        (asked?.groups ?? []).flatMap(({ id, bikes: own }) =>
          own.some((bike) => wanted.has(bike)) ? [id] : [],
        ),
      )
    },
    stop: keeper.stop,
    resume: keeper.resume,
  }
}

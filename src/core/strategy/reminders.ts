import { eventsAhead } from '../exposure/road-ahead.ts'
import type { BikeId, IsoTime } from '../log/entry.ts'
import type { EventEntry } from '../log/kinds/event.ts'
import type { Lube } from '../lube/lubes.ts'
import { addDays } from '../units/days.ts'
import type { EventAdvice } from '../wear/event-outlook.ts'
import { daysAt, type WearAnswer } from '../wear/outlook.ts'
import type { BikeReport, ChainReport } from './bike-report.ts'
import { lubeLeft } from './lube-left.ts'
import { recommend } from './recommend.ts'

/** Something to be done, and when; without a day where nothing is being ridden. */
export type Reminder = {
  readonly bike: BikeId
  readonly day?: IsoTime
  /** Distance from now, km; absent where a day and no distance calls for it. */
  readonly inKm?: number
} & (
  | { readonly kind: 'look'; readonly first: boolean; readonly before?: EventEntry }
  | { readonly kind: 'lube'; readonly lube: Lube }
  | {
      readonly kind: 'swap'
      /** The cogs it has shaped go with it. */
      readonly cogsToo?: true
      readonly from?: IsoTime
      readonly to?: IsoTime
      /** It is due before the chain is through, for it does not last through this. */
      readonly before?: EventEntry
    }
  | { readonly kind: 'event'; readonly event: EventEntry }
)

/** After a look the next one is no nearer than this, whatever the chance of being past the limit, km. */
const LOOK_NO_SOONER_KM = 50
/** What lies further off than this is no reminder, days. */
const FAR_DAYS = 3 * 365

const within = (days: number | undefined): boolean => days !== undefined && days <= FAR_DAYS

/** The day before something, but no day that is over. */
function eveOf({ starts }: EventEntry, now: IsoTime): IsoTime {
  const eve = addDays(starts, -1)
  return eve < now ? now : eve
}

/** The first event that asks one thing of the chain before it begins. */
const eventAsking = (report: BikeReport, answer: WearAnswer, now: IsoTime, asked: readonly EventAdvice[]) =>
  eventsAhead(report.bike.events, now)
    .map(({ event }) => event)
    .find(({ event }) => answer.events.some((one) => one.event === event && asked.includes(one.advice)))

/** The next look and the swap of a chain that has been read. */
function wearReminders(report: BikeReport, chain: ChainReport, answer: WearAnswer, now: IsoTime): Reminder[] {
  const { bike } = report.bike.entry
  const dayIn = (days: number | undefined) => (days === undefined ? {} : { day: addDays(now, days) })
  const lookNow: Reminder = { kind: 'look', first: false, bike, inKm: 0, day: now }
  const action = recommend(report, answer)?.action
  if (action === 'swap-chain') return [{ kind: 'swap', bike, inKm: 0, day: now }]
  if (action === 'swap-chain-and-cogs') return [{ kind: 'swap', bike, inKm: 0, day: now, cogsToo: true }]

  const { toLimitKm, toLimitDays } = answer
  const swapDay = toLimitDays && addDays(now, toLimitDays.p50)
  const doomed = eventAsking(report, answer, now, ['before', 'before-anyway'])
  const swapBefore = doomed && (!swapDay || eveOf(doomed, now) < swapDay) ? doomed : undefined
  const swap: Reminder = {
    kind: 'swap',
    bike,
    inKm: toLimitKm.p50,
    ...(swapDay && { day: swapDay }),
    ...(toLimitDays && { from: addDays(now, toLimitDays.p10), to: addDays(now, toLimitDays.p90) }),
    ...(swapBefore && { day: eveOf(swapBefore, now), before: swapBefore }),
  }
  const swaps = within(toLimitDays?.p50) || !toLimitDays || swapBefore ? [swap] : []
  if (action === 'measure') return [lookNow, ...swaps.filter(() => toLimitKm.p50 > 0)]

  const justLooked = (chain.kmSinceReading ?? 0) < LOOK_NO_SOONER_KM / 2
  const lookKm = justLooked ? Math.max(LOOK_NO_SOONER_KM, answer.nextLookKm) : answer.nextLookKm
  const lookDays = lookKm > answer.nextLookKm ? daysAt(answer, lookKm) : answer.nextLookDays
  const doubtful = eventAsking(report, answer, now, ['look-first'])
  const lookBefore =
    doubtful && (lookDays === undefined || eveOf(doubtful, now) < addDays(now, lookDays))
      ? doubtful
      : undefined
  const look: Reminder = lookBefore
    ? { kind: 'look', first: false, bike, day: eveOf(lookBefore, now), before: lookBefore }
    : { kind: 'look', first: false, bike, inKm: lookKm, ...dayIn(lookDays) }
  // A chain that is to be gone by then is not looked at again.
  const isWorthIt =
    (within(lookDays) || lookDays === undefined || lookBefore) &&
    !(swapBefore && look.day && swap.day && swap.day <= look.day)
  return [...(isWorthIt ? [look] : []), ...swaps]
}

function remindersOfChain(report: BikeReport, answer: WearAnswer | undefined, now: IsoTime): Reminder[] {
  const { chain, plan } = report
  if (!chain) return []
  const { bike } = report.bike.entry
  const left = lubeLeft(report, now)
  const lubeDays =
    !left || left.km <= 0
      ? 0
      : answer
        ? daysAt(answer, left.km)
        : plan.weeklyKm > 0
          ? (7 * left.km) / plan.weeklyKm
          : undefined
  const lubes: Reminder[] = left
    ? [
        {
          kind: 'lube',
          lube: left.lube,
          bike,
          inKm: left.km,
          ...(lubeDays !== undefined && { day: addDays(now, lubeDays) }),
        },
      ]
    : []
  if (chain.lastReadingAt === undefined) {
    const advice = recommend(report, answer)
    if (!advice) return lubes
    if (!answer || advice.lookInKm === undefined)
      return [{ kind: 'look', first: true, bike, inKm: 0, day: now }, ...lubes]
    const { nextLookDays: days } = answer
    const first: Reminder = {
      kind: 'look',
      first: true,
      bike,
      inKm: advice.lookInKm,
      ...(days !== undefined && { day: addDays(now, days) }),
    }
    return within(days) || days === undefined ? [first, ...lubes] : lubes
  }
  return answer ? [...lubes, ...wearReminders(report, chain, answer, now)] : lubes
}

/**
 * What is to be done with some bikes, in the order in which it comes: looks, lubrication, swaps, and what is planned.
 * @param answers of the wear model, in the order of the reports
 */
export function remindersOf(
  reports: readonly BikeReport[],
  answers: readonly (WearAnswer | undefined)[],
  now: IsoTime,
): Reminder[] {
  return reports
    .flatMap((report, i) => [
      ...remindersOfChain(report, answers[i], now),
      ...eventsAhead(report.bike.events, now).map(({ event }): Reminder => ({
        kind: 'event',
        bike: report.bike.entry.bike,
        day: event.starts,
        event,
      })),
    ])
    .sort((a, b) => ((a.day ?? '~') < (b.day ?? '~') ? -1 : 1))
}

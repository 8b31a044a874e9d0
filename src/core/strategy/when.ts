import { eventsAhead } from '../exposure/road-ahead.ts'
import type { IsoTime } from '../log/entry.ts'
import type { EventEntry } from '../log/kinds/event.ts'
import type { Lube } from '../lube/lubes.ts'
import { addDays } from '../units/days.ts'
import type { EventAdvice } from '../wear/event-outlook.ts'
import type { Interval } from '../stats/interval.ts'
import { daysAt, type WearAnswer } from '../wear/outlook.ts'
import type { BikeReport } from './facts/bike-report.ts'
import type { Facts } from './facts/facts.ts'

/** The next look at a chain. */
export interface LookAhead {
  /** km from now; absent where a day and no distance calls for it. */
  readonly inKm?: number
  /** Absent where nothing is being ridden. */
  readonly day?: IsoTime
  /** It was never read. */
  readonly isFirst: boolean
  /** It is due before this, which the chain may not last through. */
  readonly before?: EventEntry
}

/** The end of a chain. */
export interface SwapAhead {
  /** km from now to its limit. */
  readonly inKm: Interval
  /** When it is to be swapped; absent where nothing is being ridden. */
  readonly day?: IsoTime
  /** 8 in 10 such chains reach their limit between these. */
  readonly from?: IsoTime
  readonly to?: IsoTime
  /** It is swapped before this, which it would not last through. */
  readonly before?: EventEntry
}

/** When what is on a chain is used up. */
export interface LubeAhead {
  readonly lube: Lube
  /** km from now; 0 where it is due. */
  readonly inKm: number
  readonly day?: IsoTime
}

/** After a look the next one is no nearer than this, whatever the chance of being past the limit, km. */
const LOOK_NO_SOONER_KM = 50

/** The day before something, but no day that is over. */
function eveOf({ starts }: EventEntry, now: IsoTime): IsoTime {
  const eve = addDays(starts, -1)
  return eve < now ? now : eve
}

/** The first event that asks one thing of the chain before it begins. */
const eventAsking = ({ bike, now }: BikeReport, answer: WearAnswer, asked: readonly EventAdvice[]) =>
  eventsAhead(bike.events, now)
    .map(({ event }) => event)
    .find(({ event }) => answer.events.some((one) => one.event === event && asked.includes(one.advice)))

const dayIn = (now: IsoTime, days: number | undefined) =>
  days === undefined ? {} : { day: addDays(now, days) }

/** When a chain that was read is to be swapped. */
export function swapAhead({ report, wear }: Facts): SwapAhead | undefined {
  if (!wear) return undefined
  const { now } = report
  const { toLimitKm: inKm, toLimitDays } = wear.answer
  const swap: SwapAhead = {
    inKm,
    ...dayIn(now, toLimitDays?.p50),
    ...(toLimitDays && { from: addDays(now, toLimitDays.p10), to: addDays(now, toLimitDays.p90) }),
  }
  const doomed = eventAsking(report, wear.answer, ['before', 'before-anyway'])
  const eve = doomed && eveOf(doomed, now)
  return doomed && eve !== undefined && (swap.day === undefined || eve < swap.day)
    ? { ...swap, day: eve, before: doomed }
    : swap
}

/** When a chain is to be looked at again; where it is due now that is a rule's to say. */
export function lookAhead({ report, chain, answer, wear }: Facts): LookAhead | undefined {
  if (!chain || !answer) return undefined
  const { now } = report
  const isFirst = wear === undefined
  const { nextLookKm, nextLookDays } = answer
  if (isFirst) return { isFirst, inKm: nextLookKm, ...dayIn(now, nextLookDays) }
  // Who has just looked looks no sooner again than this.
  const inKm =
    wear.kmSinceReading < LOOK_NO_SOONER_KM / 2 ? Math.max(LOOK_NO_SOONER_KM, nextLookKm) : nextLookKm
  const look: LookAhead = {
    isFirst,
    inKm,
    ...dayIn(now, inKm > nextLookKm ? daysAt(answer, inKm) : nextLookDays),
  }
  const doubtful = eventAsking(report, answer, ['look-first'])
  const eve = doubtful && eveOf(doubtful, now)
  return doubtful && eve !== undefined && (look.day === undefined || eve < look.day)
    ? { isFirst, day: eve, before: doubtful }
    : look
}

/** When what is on the chain of a bike is used up; undefined where that is not known. */
export function lubeAhead(
  { chain, plan, now }: BikeReport,
  answer: WearAnswer | undefined,
): LubeAhead | undefined {
  if (!chain?.lube) return undefined
  const { lube, leftKm } = chain.lube
  const days =
    leftKm <= 0
      ? 0
      : answer
        ? daysAt(answer, leftKm)
        : plan.weeklyKm > 0
          ? (7 * leftKm) / plan.weeklyKm
          : undefined
  return { lube, inKm: leftKm, ...dayIn(now, days) }
}

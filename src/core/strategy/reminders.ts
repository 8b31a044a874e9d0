import { eventsAhead } from '../exposure/road-ahead.ts'
import type { BikeId, IsoTime } from '../log/entry.ts'
import type { EventEntry } from '../log/kinds/event.ts'
import { addDays, daysBetween } from '../units/days.ts'
import type { OpenAdvice } from './facts/advice.ts'
import type { BikeReport } from './facts/bike-report.ts'
import { isHeldBack, SWAPS, type Verdict } from './verdict.ts'
import { lubeAhead, type LookAhead, type LubeAhead, type SwapAhead } from './when.ts'

/** Something to be done with a bike, and when. */
export type Reminder = {
  readonly bike: BikeId
  /** Absent where nothing is being ridden. */
  readonly day?: IsoTime
} & (
  | { readonly kind: 'look'; readonly look: LookAhead }
  | { readonly kind: 'lube'; readonly lube: LubeAhead }
  | {
      readonly kind: 'swap'
      /** Absent where it is due now. */
      readonly swap?: SwapAhead
      /** The cogs it has shaped go with it. */
      readonly cogsToo?: true
    }
  | { readonly kind: 'event'; readonly event: EventEntry }
  /** Left at an earlier visit. */
  | { readonly kind: 'advice'; readonly advice: OpenAdvice }
)

/** When advice is to be seen to: its own day, or the day on which its distance is ridden, the sooner. */
function adviceDay({ now, plan }: BikeReport, { job, km, isDue }: OpenAdvice): IsoTime | undefined {
  if (isDue) return now
  const byKm =
    job.byKm !== undefined && plan.weeklyKm > 0
      ? addDays(now, (7 * Math.max(0, job.byKm - km)) / plan.weeklyKm)
      : undefined
  return [job.byDay, byKm].filter((day) => day !== undefined).sort()[0]
}

/** What lies further off than this is no reminder, days. */
const FAR_DAYS = 3 * 365

/** A bike, and the verdict on it; without one while that is being worked out. */
export interface Judged {
  readonly report: BikeReport
  readonly verdict: Verdict | undefined
}

function remindersOfChain({ report, verdict }: Judged): Reminder[] {
  const { bike: state, now } = report
  const { bike } = state.entry
  const isNear = (day: IsoTime | undefined): boolean => day === undefined || daysBetween(now, day) <= FAR_DAYS
  const dayOf = ({ day }: { readonly day?: IsoTime }) => (day === undefined ? {} : { day })
  const lube = verdict ? verdict.lube : lubeAhead(report, undefined)
  const reminders: Reminder[] = lube ? [{ kind: 'lube', lube, bike, ...dayOf(lube) }] : []
  if (!verdict) return reminders
  const { action, look, swap } = verdict
  if (SWAPS.includes(action))
    reminders.push({
      kind: 'swap',
      bike,
      day: now,
      ...(action === 'swap-chain-and-cogs' && { cogsToo: true }),
    })
  if (look && isNear(look.day)) reminders.push({ kind: 'look', look, bike, ...dayOf(look) })
  // A chain that is to be measured because it may be past its limit is not both measured and swapped today.
  const isSwapAhead = swap && (!isHeldBack(action) || swap.inKm.p50 > 0)
  if (isSwapAhead && (isNear(swap.day) || swap.before))
    reminders.push({ kind: 'swap', swap, bike, ...dayOf(swap) })
  return reminders
}

/**
 * What is to be done with some bikes, in the order in which it comes: looks, lubrication, swaps, and what is planned.
 * What has no day comes last.
 */
export function remindersOf(judged: readonly Judged[]): Reminder[] {
  return judged
    .flatMap((one) => [
      ...remindersOfChain(one),
      ...eventsAhead(one.report.bike.events, one.report.now).map(({ event }): Reminder => ({
        kind: 'event',
        bike: one.report.bike.entry.bike,
        day: event.starts,
        event,
      })),
      ...one.report.advice.map((advice): Reminder => {
        const day = adviceDay(one.report, advice)
        return { kind: 'advice', bike: one.report.bike.entry.bike, ...(day !== undefined && { day }), advice }
      }),
    ])
    .sort((a, b) => ((a.day ?? '~') < (b.day ?? '~') ? -1 : 1))
}

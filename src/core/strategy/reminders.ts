import { CONDITION_MULTIPLIER, quarterOf } from '../exposure/conditions.ts'
import { eventsAhead, mixByQuarter } from '../exposure/road-ahead.ts'
import type { BikeId, EventEntry, IsoTime, PartId } from '../log/entries.ts'
import { LUBE_LIFE_KM } from '../lube/lubes.ts'
import { limitKey } from '../measure/posterior.ts'
import { addDays } from '../units/days.ts'
import type { WearAnswer } from '../wear/outlook.ts'
import type { BikeReport } from './bike-report.ts'

/** Something to be done, and when; without a day where nothing is being ridden. */
export type Reminder = {
  readonly bike: BikeId
  readonly day?: IsoTime
  /** Distance from now, km. */
  readonly inKm?: number
} & (
  | { readonly kind: 'look'; readonly part: PartId; readonly first: boolean }
  | { readonly kind: 'lube'; readonly part: PartId }
  | { readonly kind: 'swap'; readonly part: PartId; readonly from?: IsoTime; readonly to?: IsoTime }
  | { readonly kind: 'event'; readonly event: EventEntry }
)

/** After a look the next one is no nearer than this, whatever the chance of being past the limit, km. */
const LOOK_NO_SOONER_KM = 50
/** What lies further off than this is no reminder, days. */
const FAR_DAYS = 3 * 365

const within = (days: number | undefined): boolean => days !== undefined && days <= FAR_DAYS

/** How far the lubricant still goes on the roads of this time of year, km; 0 where it is due. */
function lubeKm(report: BikeReport, now: IsoTime): number | undefined {
  const { clock, story } = report.chain ?? {}
  const { lube } = story?.lube ?? {}
  if (!clock || lube === undefined) return undefined
  if (clock.due || lube === 'none') return 0
  const mix = mixByQuarter(report.bike, now)[quarterOf(now)]
  const perKm = mix.reduce((sum, { km, condition }) => sum + km * CONDITION_MULTIPLIER[condition], 0)
  return ((1 - clock.used) * LUBE_LIFE_KM[lube]) / perKm
}

function remindersOfChain(report: BikeReport, answer: WearAnswer | undefined, now: IsoTime): Reminder[] {
  const { chain, plan } = report
  if (!chain) return []
  const { bike } = report.bike.entry
  const part = chain.part.entry.part
  const dayAfter = (km: number): number | undefined =>
    km <= 0 ? 0 : plan.weeklyKm > 0 ? (7 * km) / plan.weeklyKm : undefined
  const dated = (inKm: number, days: number | undefined) => ({
    bike,
    inKm,
    ...(days !== undefined && { day: addDays(now, days) }),
  })
  const reminders: Reminder[] = []
  const lube = lubeKm(report, now)
  if (lube !== undefined) reminders.push({ kind: 'lube', part, ...dated(lube, dayAfter(lube)) })
  if (chain.lastReadingAt === undefined)
    return [{ kind: 'look', part, first: true, ...dated(0, 0) }, ...reminders]
  if (!answer) return reminders
  const past = answer.now.pAbove[limitKey(report.limit.percent)] ?? 0
  const days = answer.toLimitDays
  if (past >= 0.5) return [{ kind: 'swap', part, ...dated(0, 0) }, ...reminders]
  const justLooked = (chain.kmSinceReading ?? 0) < LOOK_NO_SOONER_KM / 2
  const lookKm = justLooked ? Math.max(LOOK_NO_SOONER_KM, answer.nextLookKm) : answer.nextLookKm
  const lookDays = lookKm > answer.nextLookKm ? dayAfter(lookKm) : answer.nextLookDays
  if (within(lookDays) || days === undefined)
    reminders.push({ kind: 'look', part, first: false, ...dated(lookKm, lookDays) })
  if (within(days?.p50) || days === undefined)
    reminders.push({
      kind: 'swap',
      part,
      ...dated(answer.toLimitKm.p50, days?.p50),
      ...(days && { from: addDays(now, days.p10), to: addDays(now, days.p90) }),
    })
  return reminders
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

import { eventsAhead } from '../exposure/road-ahead.ts'
import type { BikeId, IsoTime } from '../log/entry.ts'
import type { EventEntry } from '../log/kinds/event.ts'
import type { VisitJob } from '../log/kinds/visit.ts'
import { addDays, daysBetween } from '../units/days.ts'
import type { OpenAdvice } from './facts/advice.ts'
import type { BikeReport } from './facts/bike-report.ts'
import type { OpenFinding } from './facts/check-facts.ts'
import type { SheetDue } from './facts/due-sheets.ts'
import type { WearingOutlook } from './facts/wearing-facts.ts'
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
  /** Found at a check, and to be seen to. */
  | { readonly kind: 'finding'; readonly finding: OpenFinding }
  /** A sheet of checks. */
  | { readonly kind: 'check'; readonly sheet: SheetDue }
  /** A pad, a tyre or the like is measured again, or replaced. */
  | { readonly kind: 'wearing'; readonly wearing: WearingOutlook }
)

/** By when something is to be seen to: its own day, or the day on which its distance is ridden, the sooner; now where it is due. */
function dayBy(
  { now, plan }: BikeReport,
  { byKm, byDay }: Pick<VisitJob, 'byKm' | 'byDay'>,
  { km, isDue }: Pick<OpenAdvice, 'km' | 'isDue'>,
): IsoTime | undefined {
  if (isDue) return now
  const ridden =
    byKm !== undefined && plan.weeklyKm > 0
      ? addDays(now, (7 * Math.max(0, byKm - km)) / plan.weeklyKm)
      : undefined
  return [byDay, ridden].filter((day) => day !== undefined).sort()[0]
}

const withDay = (day: IsoTime | undefined) => (day === undefined ? {} : { day })

/** What the checks of a bike remind of: findings, the sheet that is due or comes next, and what wears. */
function remindersOfChecks(report: BikeReport): Reminder[] {
  const { findings, sheets, wearing, now } = report
  const { bike } = report.bike.entry
  // Who keeps no record of checks is not reminded of them; their station still proposes them.
  const [sheet] = report.hasChecks ? sheets : []
  return [
    ...findings.map((finding): Reminder => ({
      kind: 'finding',
      bike,
      ...withDay(dayBy(report, finding.check, finding)),
      finding,
    })),
    ...(sheet ? [{ kind: 'check' as const, bike, day: sheet.isDue ? now : sheet.day, sheet }] : []),
    ...wearing.flatMap((one): Reminder[] =>
      one.lookDay === undefined ? [] : [{ kind: 'wearing', bike, day: one.lookDay, wearing: one }],
    ),
  ]
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
        const day = dayBy(one.report, advice.job, advice)
        return { kind: 'advice', bike: one.report.bike.entry.bike, ...withDay(day), advice }
      }),
      ...remindersOfChecks(one.report),
    ])
    .sort((a, b) => ((a.day ?? '~') < (b.day ?? '~') ? -1 : 1))
}

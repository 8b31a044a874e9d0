import { ridesDuring } from '../../exposure/distance.ts'
import { mixByQuarter } from '../../exposure/road-ahead.ts'
import { quarterOf } from '../../exposure/conditions.ts'
import { lawOf, WEARING_PARTS, type WearingLaw, type WearingPart } from '../../checks/wearing-parts.ts'
import { sayWearing, type WearingLife, type WearingSaid } from '../../checks/wearing.ts'
import type { IsoTime } from '../../log/entry.ts'
import type { BikeState, Garage, Ride } from '../../log/garage.ts'
import { thicknessKey, type ThicknessEntry } from '../../log/kinds/thickness.ts'
import { addDays, daysBetween, isStillToCome } from '../../units/days.ts'
import type { WearDistance } from '../../wear/part-grid.ts'
import type { RidingPlan } from '../../exposure/riding-plan.ts'

/** A part that wears beside the chain: what was measured, and what it comes to. */
export interface WearingOutlook extends WearingSaid {
  readonly part: WearingPart
  readonly law: WearingLaw
  /** Since it was fitted new, or since the first that is known of it. */
  readonly since: IsoTime
  readonly past: WearingLife['past']
  /** Ridden since then, km. */
  readonly km: number
  /** In order of time, those of earlier lives too. */
  readonly entries: readonly ThicknessEntry[]
  /** When it was last measured or looked at. */
  readonly lookedAt?: IsoTime
  /** Days for the median of the limit, and for when to look next; absent where nothing is being ridden. */
  readonly limitDay?: { readonly p10: IsoTime; readonly p50: IsoTime; readonly p90: IsoTime }
  readonly lookDay?: IsoTime
}

/** Further off than this nothing is said to the day. */
const FAR_DAYS = 3 * 365

/** How far a part has gone: by the kilometres of its rides as it feels them, or by days where it ages. */
function distanceAt(law: WearingLaw, rides: readonly Ride[], since: IsoTime, at: IsoTime): WearDistance {
  if (law.gets === 'older') return { wearKm: Math.max(0, daysBetween(since, at)) }
  let [wearKm, unsureWearKm] = [0, 0]
  for (const { km, condition, unsure } of ridesDuring(rides, since, at)) {
    const piece = km * law.times[condition]
    wearKm += piece
    if (unsure) unsureWearKm += piece
  }
  return { wearKm, ...(unsureWearKm > 0 && { unsureWearKm }) }
}

interface PlacedLife extends WearingLife {
  readonly since: IsoTime
}

/** The lives of a part: each begins where it was fitted new; what was read before the first of these is of an unknown past. */
function livesOf(law: WearingLaw, entries: readonly ThicknessEntry[], rides: readonly Ride[]): PlacedLife[] {
  const groups: { past: WearingLife['past']; since: IsoTime; entries: ThicknessEntry[] }[] = []
  for (const entry of entries) {
    const last = groups.at(-1)
    if (entry.isNew || !last)
      groups.push({
        past: entry.isNew ? 'new' : 'unknown',
        since: entry.isNew ? entry.at : ([rides[0]?.at ?? entry.at, entry.at].sort()[0] ?? entry.at),
        entries: [entry],
      })
    else last.entries.push(entry)
  }
  return groups.map(({ past, since, entries: own }) => ({
    past,
    since,
    readings: own.map(({ at, mm, by, isDry, isNew }) => ({
      ...distanceAt(law, rides, since, at),
      ...(mm !== undefined && { mm, by: by ?? 'ruler' }),
      ...(isDry !== undefined && !isNew && { isPast: isDry }),
    })),
  }))
}

/** Whether an entry tells how worn a part is, and not only what its maker says. */
const tells = ({ isNew, mm, isDry }: ThicknessEntry): boolean =>
  isNew === true || mm !== undefined || isDry !== undefined

/** A part's law, with its maker's limit where that was entered. */
function lawIn(part: WearingPart, entries: readonly ThicknessEntry[]): WearingLaw {
  const limitMm = entries.findLast((one) => one.limitMm !== undefined)?.limitMm
  return limitMm === undefined ? lawOf(part) : { ...lawOf(part), limitMm }
}

/** A bike, the moment, and how it will be ridden. */
interface Road {
  readonly bike: BikeState
  readonly now: IsoTime
  readonly plan: RidingPlan
}

type Said = Pick<WearingOutlook, keyof WearingSaid>
/** The last answer of each part of each bike: it changes only when something was ridden, measured or renewed. */
const answers = new Map<string, { readonly question: string; readonly said: Said }>()

/** {@link sayWearing}, worked out once for a question; age counts in quarters of a day. */
function saidOf(
  name: string,
  law: WearingLaw,
  lives: readonly PlacedLife[],
  now: WearDistance,
  timesAhead: number,
): Said {
  const distance = { ...now, wearKm: Math.round(4 * now.wearKm) / 4 }
  const question = JSON.stringify([lives, distance, timesAhead, law.limitMm])
  const held = answers.get(name)
  if (held?.question === question) return held.said
  const said = sayWearing(law, lives, distance, timesAhead)
  answers.set(name, { question, said })
  return said
}

function outlookOf(
  { bike, now, plan }: Road,
  part: WearingPart,
  entries: readonly ThicknessEntry[],
): WearingOutlook | undefined {
  const law = lawIn(part, entries)
  const { rides } = bike
  const lives = livesOf(law, entries.filter(tells), rides)
  const life = lives.at(-1)
  if (!life) return undefined
  const isByDays = law.gets === 'older'
  const timesAhead = isByDays
    ? 1
    : mixByQuarter(bike, now)[quarterOf(now)].reduce(
        (sum, { km, condition }) => sum + km * law.times[condition],
        0,
      )
  const said = saidOf(
    thicknessKey(bike.entry.bike, part),
    law,
    lives,
    distanceAt(law, rides, life.since, now),
    timesAhead,
  )
  const daysFor = (distance: number): number =>
    isByDays ? distance : distance <= 0 ? 0 : plan.weeklyKm > 0 ? (7 * distance) / plan.weeklyKm : Infinity
  const dayOf = (distance: number): IsoTime | undefined =>
    daysFor(distance) <= FAR_DAYS ? addDays(now, daysFor(distance)) : undefined
  const [p10, p50, p90] = [said.toLimit.p10, said.toLimit.p50, said.toLimit.p90].map(dayOf)
  const lookDay = dayOf(said.nextLook)
  const lookedAt = entries.findLast(tells)?.at
  return {
    ...said,
    part,
    law,
    since: life.since,
    past: life.past,
    km: ridesDuring(rides, life.since).reduce((sum, { km }) => sum + km, 0),
    entries,
    ...(lookedAt !== undefined && { lookedAt }),
    ...(p10 !== undefined && p50 !== undefined && p90 !== undefined && { limitDay: { p10, p50, p90 } }),
    ...(lookDay !== undefined && { lookDay }),
  }
}

/** What is known of every part of a bike that wears beside its chain and was ever measured or fitted new. */
export const wearingOf = (garage: Garage, road: Road): readonly WearingOutlook[] =>
  WEARING_PARTS.flatMap((part) => {
    const entries = (garage.listed.thickness.get(thicknessKey(road.bike.entry.bike, part)) ?? []).filter(
      ({ at }) => !isStillToCome(at, road.now),
    )
    return entries.length > 0 ? (outlookOf(road, part, entries) ?? []) : []
  })

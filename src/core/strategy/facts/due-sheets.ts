import { isForBike, type Occasion } from '../../checks/sheets.ts'
import { isWet } from '../../exposure/conditions.ts'
import { ridesDuring } from '../../exposure/distance.ts'
import { eventsAhead } from '../../exposure/road-ahead.ts'
import type { IsoTime } from '../../log/entry.ts'
import type { BikeState, Garage, Ride } from '../../log/garage.ts'
import { addDays, daysBetween } from '../../units/days.ts'
import { visitsOf } from './advice.ts'
import { lastRound } from './rounds.ts'

/** Why a sheet is due. */
export type DueWhy =
  | { readonly kind: 'wet-ride'; readonly at: IsoTime }
  | { readonly kind: 'days'; readonly days: number }
  | { readonly kind: 'never' }
  | { readonly kind: 'season' }
  | { readonly kind: 'stood'; readonly days: number }
  | { readonly kind: 'indoor'; readonly rides: number }
  | { readonly kind: 'event'; readonly name: string; readonly inDays: number }
  | { readonly kind: 'unknown-past' }
  | { readonly kind: 'visit' }

/** A sheet, and when and why it is due. */
export interface SheetDue {
  readonly occasion: Occasion
  readonly why: DueWhy
  /** When; now or earlier where it is due. */
  readonly day: IsoTime
  readonly isDue: boolean
}

/** Days and counts after which sheets are due. Judgements. */
const MONTH_DAYS = 30
const ELECTRIC_DAYS = 90
const LAY_OFF_DAYS = 30
const WET_DAYS = 4
const EVENT_DAYS = 14
const HAND_BACK_DAYS = 2
const INDOOR_RIDES = 5

/** Bigger sheets do the work of smaller ones. */
const AS_GOOD_AS: Readonly<Partial<Record<Occasion, readonly Occasion[]>>> = {
  monthly: ['monthly', 'spring', 'second-hand', 'before-event'],
  'after-lay-off': ['after-lay-off', 'spring', 'second-hand', 'monthly'],
  'after-wet': ['after-wet', 'monthly', 'spring'],
  electric: ['electric', 'monthly', 'spring', 'second-hand'],
  'before-event': ['before-event', 'second-hand', 'spring'],
}

/** The last year that a season began before a moment, by its months (1 to 12) north of the equator; half a year later south of it. */
function seasonBegan(now: IsoTime, month: number, isSouth: boolean): IsoTime {
  const shifted = isSouth ? ((month + 5) % 12) + 1 : month
  const of = (year: number): IsoTime => new Date(Date.UTC(year, shifted - 1, 1)).toISOString()
  const year = Number(now.slice(0, 4))
  return of(year) <= now ? of(year) : of(year - 1)
}

/** Seasons that are prepared for: the month in which it is time, and for how long, days. */
const SEASONS = { 'before-winter': { month: 10, days: 100 }, spring: { month: 3, days: 80 } } as const

interface Asked {
  readonly garage: Garage
  readonly bike: BikeState
  readonly now: IsoTime
  readonly rides: readonly Ride[]
  /** When a sheet, or one as good, was last gone through. */
  readonly last: (occasion: Occasion) => IsoTime | undefined
}
type Says = (asked: Asked, occasion: Occasion) => Omit<SheetDue, 'occasion' | 'isDue'> | undefined

const season: Says = ({ now, rides, last }, occasion) => {
  if (occasion !== 'before-winter' && occasion !== 'spring') return undefined
  const { month, days } = SEASONS[occasion]
  const isSouth = (rides.findLast(({ place }) => place !== undefined)?.place?.lat ?? 0) < 0
  const began = seasonBegan(now, month, isSouth)
  const done = last(occasion)
  const isRidden = ridesDuring(rides, addDays(now, -90)).some(({ condition }) => condition !== 'indoor')
  return daysBetween(began, now) <= days && isRidden && (done === undefined || done < began)
    ? { why: { kind: 'season' }, day: began }
    : undefined
}

/** Every so many days, from the last time or from the first ride. */
const every =
  (days: number): Says =>
  ({ now, rides, last }, occasion) => {
    const done = last(occasion)
    const first = rides[0]?.at
    const from = done ?? first
    if (from === undefined) return undefined
    const since = Math.floor(daysBetween(from, now))
    return {
      why: done === undefined ? { kind: 'never' } : { kind: 'days', days: since },
      day: addDays(from, days),
    }
  }

const SAYS: Readonly<Record<Occasion, Says>> = {
  // Before every ride is before every ride: it is offered, never due.
  'before-ride': () => undefined,
  short: () => undefined,
  'after-wet': ({ now, rides, last }, occasion) => {
    const wet = rides.findLast(({ condition, unsure }) => isWet(condition) && !unsure)
    const done = last(occasion)
    return wet && daysBetween(wet.at, now) <= WET_DAYS && (done === undefined || done < wet.at)
      ? { why: { kind: 'wet-ride', at: wet.at }, day: wet.at }
      : undefined
  },
  monthly: every(MONTH_DAYS),
  'before-winter': season,
  spring: season,
  'after-lay-off': ({ now, rides, last }, occasion) => {
    const done = last(occasion)
    const ridden = rides.at(-1)?.at
    if (ridden === undefined) return undefined
    const days = Math.floor(daysBetween(ridden, now))
    return days >= LAY_OFF_DAYS && (done === undefined || done < ridden)
      ? { why: { kind: 'stood', days }, day: addDays(ridden, LAY_OFF_DAYS) }
      : undefined
  },
  'off-trainer': ({ rides, last }, occasion) => {
    const done = last(occasion)
    const indoor = rides.filter(({ at, condition }) => condition === 'indoor' && (!done || at > done))
    const ride = indoor[INDOOR_RIDES - 1]
    return ride && { why: { kind: 'indoor', rides: indoor.length }, day: ride.at }
  },
  'before-event': ({ bike, now, last }, occasion) => {
    const [next] = eventsAhead(bike.events, now)
    const done = last(occasion)
    if (!next) return undefined
    const day = addDays(next.from, -EVENT_DAYS)
    const inDays = Math.max(0, Math.ceil(daysBetween(now, next.from)))
    return done !== undefined && done >= day
      ? undefined
      : { why: { kind: 'event', name: next.event.name, inDays }, day }
  },
  electric: every(ELECTRIC_DAYS),
  'second-hand': ({ garage, bike, last }, occasion) => {
    const isUnknown = [...garage.parts.values()].some(
      ({ entry: { spec }, fittings }) =>
        spec.type === 'chain' &&
        spec.past === 'unknown' &&
        fittings.length === 1 &&
        fittings[0]?.to === undefined &&
        fittings[0]?.bike === bike.entry.bike,
    )
    return isUnknown && last(occasion) === undefined && last('monthly') === undefined
      ? { why: { kind: 'unknown-past' }, day: bike.entry.at }
      : undefined
  },
  'hand-back': ({ garage, bike, now, last }, occasion) => {
    const visit = visitsOf(garage, bike.entry.bike).findLast(({ isClosed }) => isClosed)
    const done = last(occasion)
    return visit && daysBetween(visit.at, now) <= HAND_BACK_DAYS && (done === undefined || done < visit.at)
      ? { why: { kind: 'visit' }, day: visit.at }
      : undefined
  },
}

/** What comes first where several are due. */
const ORDER: readonly Occasion[] = [
  'second-hand',
  'after-lay-off',
  'hand-back',
  'after-wet',
  'before-event',
  'off-trainer',
  'before-winter',
  'spring',
  'monthly',
  'electric',
  'before-ride',
]

/** Which sheets are due on a bike, and when the next ones are: those due first, the most fitting before the others. */
export function dueSheets(garage: Garage, bike: BikeState, now: IsoTime): readonly SheetDue[] {
  const asked: Asked = {
    garage,
    bike,
    now,
    rides: ridesDuring(bike.rides, '', addDays(now, 1)),
    last: (occasion) => lastRound(garage, bike.entry.bike, AS_GOOD_AS[occasion] ?? [occasion]),
  }
  return ORDER.filter((occasion) => isForBike(occasion, bike.entry))
    .flatMap((occasion): SheetDue[] => {
      const said = SAYS[occasion](asked, occasion)
      return said ? [{ occasion, ...said, isDue: said.day <= now }] : []
    })
    .sort((a, b) => Number(b.isDue) - Number(a.isDue) || (a.isDue ? 0 : a.day < b.day ? -1 : 1))
}

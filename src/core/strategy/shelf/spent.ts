import { totalKm } from '../../exposure/distance.ts'
import type { BikeId, IsoTime } from '../../log/entry.ts'
import type { BikeState, Garage } from '../../log/garage.ts'
import type { StockMoveEntry } from '../../log/kinds/stock-move.ts'
import { visitsOf } from '../facts/advice.ts'
import { jobCost } from '../job/job-choice.ts'

/** Money spent on a bike, once. */
export interface Spending {
  readonly at: IsoTime
  readonly what: string
  readonly minor: number
  readonly currency: string
}

/** What was spent on a bike in one currency. */
export interface Spent {
  readonly currency: string
  readonly minor: number
  /** Over the distance since the first of it; undefined where less than {@link TELLING_KM} was ridden since. */
  readonly per1000?: number
  readonly since: IsoTime
  readonly km: number
}

/** Money over less than this says nothing of what a distance costs, km. */
export const TELLING_KM = 300

/** What one piece used was worth: the mean of what was paid for those that came before it, minor units. */
function worthOf(moves: readonly StockMoveEntry[], used: StockMoveEntry) {
  const bought = moves.filter(
    ({ at, count, minor, currency }) =>
      minor !== undefined && count > 0 && at <= used.at && currency !== undefined,
  )
  const currency = bought.at(-1)?.currency
  const own = bought.filter((one) => one.currency === currency)
  const pieces = own.reduce((sum, { count }) => sum + count, 0)
  const minor = own.reduce((sum, one) => sum + (one.minor ?? 0), 0)
  return currency === undefined || pieces === 0
    ? undefined
    : { currency, minor: Math.round((minor / pieces) * Math.abs(used.count)) }
}

/**
 * Everything that was spent on a bike, in order of time: what was entered as spent, what came off the shelf at what it cost, and jobs done at
 * visits.
 */
export function spendings(garage: Garage, bike: BikeId): readonly Spending[] {
  const paid = (garage.listed.paid.get(bike) ?? []).map(({ at, what, minor, currency }) => ({
    at,
    what,
    minor,
    currency,
  }))
  const used = [...garage.listed['stock-move']].flatMap(([stock, moves]) =>
    moves.flatMap((move): Spending[] => {
      if (move.why !== 'used' || move.bike !== bike) return []
      const worth = worthOf(moves, move)
      const what = garage.listed.stock.get(stock)?.at(-1)?.name ?? 'from the shelf'
      return worth ? [{ at: move.at, what, ...worth }] : []
    }),
  )
  const done = visitsOf(garage, bike)
    .filter(({ isClosed }) => isClosed)
    .flatMap((visit) =>
      visit.jobs
        .filter(({ outcome }) => outcome === 'done')
        .map((job) => ({
          at: visit.at,
          what: job.name,
          minor: Math.round(jobCost(job, visit.hour)),
          currency: visit.currency,
        })),
    )
  return [...paid, ...used, ...done].sort((a, b) => (a.at < b.at ? -1 : 1))
}

/**
 * What was spent on a bike, currency by currency: money of two kinds is never added up.
 * @returns none where nothing was spent
 */
export function spentOn(garage: Garage, { entry, rides }: BikeState): readonly Spent[] {
  const all = spendings(garage, entry.bike)
  const currencies = [...new Set(all.map(({ currency }) => currency))]
  return currencies.map((currency) => {
    const own = all.filter((one) => one.currency === currency)
    const minor = own.reduce((sum, one) => sum + one.minor, 0)
    const since = own[0]?.at ?? ''
    const km = totalKm(rides.filter(({ at }) => at >= since))
    return { currency, minor, since, km, ...(km >= TELLING_KM && { per1000: (1000 * minor) / km }) }
  })
}

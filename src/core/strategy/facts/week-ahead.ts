import { isLooseSurface, type WeatherHour } from '../../exposure/weather-guess.ts'
import { lifeUsed } from '../../lube/clock.ts'
import type { OwnLives } from '../../lube/learn.ts'
import type { BikeReport } from './bike-report.ts'

/** A forecast of some days, as far as it matters to a chain. */
export interface WeekWeather {
  readonly wetDays: number
  readonly days: number
}

/** A day on which so much falls while people ride is a wet one, mm. Ours. */
const WET_DAY_MM = 1
/** People ride from this hour to that one, UTC. */
const [FIRST_HOUR, LAST_HOUR] = [5, 20] as const
/** From this share of wet days on a week is a rainy one. */
const RAINY_SHARE = 0.4

/** Wet days in a forecast by the hour. */
export function weekWeather(hours: readonly WeatherHour[]): WeekWeather {
  const byDay = new Map<string, number>()
  for (const { at, rainMm } of hours) {
    const hour = Number(at.slice(11, 13))
    if (hour < FIRST_HOUR || hour > LAST_HOUR) continue
    byDay.set(at.slice(0, 10), (byDay.get(at.slice(0, 10)) ?? 0) + rainMm)
  }
  return { wetDays: [...byDay.values()].filter((mm) => mm > WET_DAY_MM).length, days: byDay.size }
}

/** What a week's weather asks of a chain. */
export type WeekAdvice =
  /** Rain ends what is on the chain: wet lube goes on before it. */
  | 'wet-lube-now'
  /** What is on does not last through the week: fresh lube now. */
  | 'lube-now'
  /** It is a rainy week, and what is on lasts. */
  | 'lasts'
  /** Hardly any rain. */
  | 'dry'

/**
 * What to do about a chain before a week's weather (job.md: before a rainy week, now).
 * @param own lives as this rider's chains have shown them
 * @returns undefined where what is on the chain is not known, or it is due anyway
 */
export function weekAdvice(
  { bike, chain, plan }: BikeReport,
  { wetDays, days }: WeekWeather,
  own: OwnLives,
): WeekAdvice | undefined {
  const lube = chain?.lube
  if (!lube || lube.lube === 'none' || lube.clock.due || days === 0) return undefined
  if (wetDays / days < RAINY_SHARE) return 'dry'
  if (lube.lube === 'dry-lube') return 'wet-lube-now'
  const isLoose = isLooseSurface(bike.entry.usualCondition)
  const km = (plan.weeklyKm * days) / 7
  const used = (share: number, condition: Parameters<typeof lifeUsed>[1]['condition']): number =>
    lifeUsed(lube.lube, { km: km * share, condition }, own)
  const week =
    used(wetDays / days, isLoose ? 'wet-gravel' : 'wet-road') +
    used(1 - wetDays / days, isLoose ? 'dry-gravel' : 'dry-road')
  return lube.clock.used + week > 1 ? 'lube-now' : 'lasts'
}

import { CONDITION_MULTIPLIER, quarterOf } from '../exposure/conditions.ts'
import { mixByQuarter } from '../exposure/road-ahead.ts'
import type { IsoTime } from '../log/entry.ts'
import { LUBE_LIFE_KM, type Lube } from '../lube/lubes.ts'
import type { BikeReport } from './bike-report.ts'

/** How far what is on a chain still goes. */
export interface LubeLeft {
  readonly lube: Lube
  /** km on the roads of this time of year; 0 where it is due. */
  readonly km: number
}

/**
 * How far the lubricant still goes on the roads that the bike is ridden on at this time of year: the share of its life that
 * is left, over the mean multiplier of those roads (methods 6).
 * @returns undefined where nobody has said what is on the chain
 */
export function lubeLeft(report: BikeReport, now: IsoTime): LubeLeft | undefined {
  const { clock, story } = report.chain ?? {}
  const { lube } = story?.lube ?? {}
  if (!clock || lube === undefined) return undefined
  if (clock.due || lube === 'none') return { lube, km: 0 }
  const mix = mixByQuarter(report.bike, now)[quarterOf(now)]
  const perKm = mix.reduce((sum, { km, condition }) => sum + km * CONDITION_MULTIPLIER[condition], 0)
  return { lube, km: ((1 - clock.used) * LUBE_LIFE_KM[lube]) / perKm }
}

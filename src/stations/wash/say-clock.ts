import { isWet } from '../../core/exposure/conditions.ts'
import { STORAGE_DAYS } from '../../core/lube/clock.ts'
import type { OwnLives } from '../../core/lube/learn.ts'
import type { BikeReport, ChainReport } from '../../core/strategy/facts/bike-report.ts'
import type { LubeAhead } from '../../core/strategy/when.ts'
import type { Units } from '../../core/units/units.ts'
import { LUBE_NAMES } from '../../words/names.ts'
import { sayAboutKm, sayAgo, sayCount, sayDay, sayKm } from '../../words/numbers.ts'

/**
 * Whether the chain is due, and if not how far and until when it still goes, as the opening sentence.
 * @param ahead when it will be due; the same as every screen says
 */
export function sayClock(
  report: BikeReport,
  chain: ChainReport,
  ahead: LubeAhead | undefined,
  units: Units,
): string {
  const { name, storage: kept } = report.bike.entry
  if (!chain.lube) return `The lube on ${name}’s chain is not entered.`
  const { lube, clock, leftKm } = chain.lube
  switch (clock.reason) {
    case 'none':
      return `${name}’s chain is bare: wipe it and lubricate before it is ridden.`
    case 'mud':
      return `Mud has ruined the ${LUBE_NAMES[lube]} on ${name}’s chain: clean and lubricate it.`
    case 'rain':
      return `Rain has washed out the dry lube on ${name}’s chain: dry it and lubricate.`
    case 'storage':
      return `${name} has stood over ${STORAGE_DAYS[kept]} days ${kept}: wipe the chain and lubricate before riding.`
    case 'distance': {
      if (clock.due) return `The ${LUBE_NAMES[lube]} on ${name}’s chain is used up: wipe it and lubricate.`
      return `The ${LUBE_NAMES[lube]} on ${name}’s chain is good for about ${sayAboutKm(leftKm, units)} more on the roads of this time of year${ahead?.day === undefined ? '' : `, until about ${sayDay(ahead.day, report.now)}`}.`
    }
  }
}

/** On what grounds: when it was put on, how far and how wet it was ridden since, how long it lasts here. */
export function sayGrounds(chain: ChainReport, units: Units, now: string, own: OwnLives): string {
  if (!chain.lube)
    return 'Log what you put on, and the clock runs from there: by distance, rain, mud and days standing.'
  const { lube, since } = chain.lube
  const km = chain.story.km - chain.story.at(since).km
  const life =
    lube === 'none'
      ? ''
      : ` Life: ${sayAboutKm(own[lube].lifeKm.after.p50, units)} of dry road, ${own[lube].looks === 0 ? 'a guess' : 'as your chains have shown'}; rain, dust and salt shorten it.`
  const ridden = km < 0.1 ? 'not ridden since' : `${sayKm(km, units)} ago`
  const wet = chain.story.rides.filter(({ at, ride }) => at >= since && isWet(ride.condition)).length
  return `Put on ${sayAgo(since, now)}, ${ridden}.${wet > 0 ? ` ${sayCount(wet, 'wet ride')} since.` : ''}${life}`
}

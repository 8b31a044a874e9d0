import { isWet } from '../../core/exposure/conditions.ts'
import { STORAGE_DAYS } from '../../core/lube/clock.ts'
import type { OwnLives } from '../../core/lube/learn.ts'
import type { BikeReport, ChainReport } from '../../core/strategy/facts/bike-report.ts'
import type { LubeAhead } from '../../core/strategy/when.ts'
import type { Units } from '../../core/units/units.ts'
import { LUBE_NAMES, STORAGE_NAMES } from '../../words/names.ts'
import { sayAboutKm, sayAgo, sayCount, sayDay, sayKm } from '../../words/numbers.ts'
import { words } from '../../words/stations/wash/say-clock.ts'

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
  if (!chain.lube) return words.theLubeOnS(name)
  const { lube, clock, leftKm } = chain.lube
  switch (clock.reason) {
    case 'none':
      return words.sChainIsBare(name)
    case 'mud':
      return words.mudHasRuinedTheOnS(LUBE_NAMES[lube], name)
    case 'rain':
      return words.rainHasWashedOut(name)
    case 'storage':
      return words.hasStoodOverDays(name, STORAGE_DAYS[kept], STORAGE_NAMES[kept])
    case 'distance': {
      if (clock.due) return words.theOnSChain(LUBE_NAMES[lube], name)
      return words.theOnSChainIs(
        LUBE_NAMES[lube],
        name,
        sayAboutKm(leftKm, units),
        ahead?.day === undefined ? '' : words.untilAbout(sayDay(ahead.day, report.now)),
      )
    }
  }
}

/** On what grounds: when it was put on, how far and how wet it was ridden since, how long it lasts here. */
export function sayGrounds(chain: ChainReport, units: Units, now: string, own: OwnLives): string {
  if (!chain.lube) return words.logWhatYouPut
  const { lube, since } = chain.lube
  const km = chain.story.km - chain.story.at(since).km
  const life =
    lube === 'none'
      ? ''
      : words.lifeOfDryRoad(
          sayAboutKm(own[lube].lifeKm.after.p50, units),
          own[lube].looks === 0 ? words.aGuess : words.asYourChainsHave,
        )
  const ridden = km < 0.1 ? words.notRiddenSince : words.ago(sayKm(km, units))
  const wet = chain.story.rides.filter(({ at, ride }) => at >= since && isWet(ride.condition)).length
  return words.putOn(sayAgo(since, now), ridden, wet > 0 ? words.since(sayCount(wet, 'wetRide')) : '', life)
}

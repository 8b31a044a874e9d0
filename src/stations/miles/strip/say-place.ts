import { rideAtKm, type StripMark } from '../../../core/strategy/mile-strip.ts'
import type { Entry } from '../../../core/log/entries.ts'
import type { Garage } from '../../../core/log/garage.ts'
import type { Units } from '../../../core/units/units.ts'
import { sayEntry } from '../../../words/entries/index.ts'
import { CONDITION_NAMES } from '../../../words/names.ts'
import { sayAboutKm, sayDay, sayFigure, sayKm, sayLimit, sayPercent } from '../../../words/numbers.ts'
import type { CurvedChain, StripPicture } from '../../../ui/road/picture.ts'
import { words } from '../../../words/stations/miles/strip/say-place.ts'

/** Elongation of a chain at a place of the road, between its drawn marks. */
function elongationAt({ strip, answer }: CurvedChain, km: number) {
  if (!answer) return undefined
  for (let i = 1; i < strip.points.length; i++) {
    const [a, b] = [strip.points[i - 1], strip.points[i]]
    if (!a || !b || a.stretch !== b.stretch || km < a.km || km > b.km) continue
    const [low, high] = [answer.wayHere[a.mark], answer.wayHere[b.mark]]
    if (!low || !high) return undefined
    const t = b.km > a.km ? (km - a.km) / (b.km - a.km) : 1
    const between = (of: 'p10' | 'p50' | 'p90') => low[of] + t * (high[of] - low[of])
    return { p10: between('p10'), p50: between('p50'), p90: between('p90') }
  }
  return undefined
}

/** Where one stands on the road, in a sentence: when, in what, on which chain, how worn. */
export function sayPlace(picture: StripPicture, km: number, units: Units, now: string): string {
  const { strip, chains, ahead, limit } = picture
  if (km > strip.totalKm) {
    const further = km - strip.totalKm
    const point = ahead?.answer.fan.reduce((best, one) =>
      Math.abs(one.x - further) < Math.abs(best.x - further) ? one : best,
    )
    const likely = point
      ? words.theChainThenProbably(
          sayPercent(point.p50),
          sayFigure(point.p10),
          sayFigure(point.p90),
          point.p50 >= limit ? words.pastItsLimitOf(sayLimit(limit)) : '',
        )
      : ''
    return words.fromToday(sayAboutKm(further, units), likely)
  }
  const ride = rideAtKm(strip, km) ?? strip.rides.at(-1)
  if (!ride) return words.theRoadBeginsWithTheFirst
  const road = `${sayKm(km, units)}, ${sayDay(ride.at, now)}: ${ride.unsure ? words.conditionsNotSetProbably(CONDITION_NAMES[ride.condition]) : CONDITION_NAMES[ride.condition]}.`
  const here = chains.find(({ strip: { chain } }) =>
    chain.part.fittings.some(
      ({ bike, from, to }) => bike === ride.bike && ride.at >= from && (to === undefined || ride.at < to),
    ),
  )
  if (!here) return words.noChainInTheLog(road)
  const { part, story } = here.strip.chain
  const worn = elongationAt(here, km)
  const since = Math.max(0, km - (strip.edges[strip.rides.indexOf(ride)] ?? km))
  const gathered = story.at(ride.at).km + Math.min(ride.km, since)
  return words.onIt(
    road,
    part.entry.name,
    sayKm(gathered, units),
    worn ? words.probablyAtTo(sayPercent(worn.p50), sayFigure(worn.p10), sayFigure(worn.p90)) : '',
  )
}

/** The marks at a place in a sentence; the entry of the first may have been taken back meanwhile. */
export function sayMarks(
  marks: readonly StripMark[],
  entry: Entry | undefined,
  garage: Garage,
  units: Units,
  now: string,
): string {
  const [first] = marks
  if (!first) return ''
  const more = marks.length > 1 ? words.andMore(marks.length - 1) : ''
  return `${sayDay(first.at, now)}, ${sayKm(first.km, units)}: ${entry ? sayEntry(entry, garage, units) : first.kind}${more}.`
}

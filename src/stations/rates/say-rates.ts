import { CONDITION_MULTIPLIER, type Condition } from '../../core/exposure/conditions.ts'
import type { Factor } from '../../core/exposure/roads.ts'
import type { Garage } from '../../core/log/garage.ts'
import type { Lube } from '../../core/lube/lubes.ts'
import { kmToMiles } from '../../core/units/convert.ts'
import type { Interval } from '../../core/stats/interval.ts'
import type { FactorRate, RiderRates } from '../../core/wear/rates.ts'
import type { Lesson } from '../../core/wear/teaches.ts'
import type { Units } from '../../core/units/units.ts'
import { CONDITION_NAMES, LUBE_NAMES, toolName } from '../../words/names.ts'
import { namePart } from '../../words/part-name.ts'
import { sayChance } from '../../words/numbers.ts'

/** Readings have told something of it from this share of the uncertainty on. */
export const LEARNED_FROM = 0.03

/** A rate in the units chosen: % per 1000 km or miles. */
export const rateIn = (units: Units, rate: number): number =>
  units === 'metric' ? rate : rate / kmToMiles(1)

/** A figure with two that matter: 0.154 as 0.15, 3.66 as 3.7. */
export const sayTwo = (value: number): string =>
  value >= 9.95 ? value.toFixed(0) : value >= 0.995 ? value.toFixed(1) : value.toFixed(2)

/** A likely figure and where 8 in 10 lie. */
export const sayInterval = ({ p10, p50, p90 }: Interval): string =>
  `${sayTwo(p50)}, ${sayTwo(p10)} to ${sayTwo(p90)}`

/** What a multiplier is of. */
export function sayFactor(of: Factor): string {
  if (of === 'not-set') return 'rides without conditions'
  if (of === 'energy-unknown') return 'rides without energy'
  if (of === 'none') return 'a bare chain'
  if (of === 'wet-lube') return 'wet lube, in dust'
  return of in CONDITION_MULTIPLIER ? CONDITION_NAMES[of as Condition] : LUBE_NAMES[of as Lube]
}

export const isRoad = ({ of }: FactorRate): boolean =>
  of === 'not-set' || of === 'energy-unknown' || of in CONDITION_MULTIPLIER

/** Wax against drip, in a sentence. */
export function sayContrast({ of, after, less, learned }: FactorRate): string {
  const against =
    of === 'wet-lube'
      ? 'Wet lube against another drip lube in dust'
      : `${capital(sayFactor(of))} against drip lube`
  const sure = learned < LEARNED_FROM ? ' That is still a guess.' : ''
  return `${against}: ${sayTwo(after.p50)} times the wear, probably ${sayTwo(after.p10)} to ${sayTwo(after.p90)}; chance that it wears less: ${sayChance(less)}.${sure}`
}
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** The answer the station opens with. */
export function sayRates(
  { rider, factors, chains }: RiderRates,
  units: Units,
): { answer: string; rest: string } {
  const { p10, p50, p90 } = rider.after
  const per = units === 'metric' ? '1000\u00a0km' : '1000\u00a0miles'
  const at = (rate: number) => sayTwo(rateIn(units, rate))
  const [worst] = factors
    .filter(
      (factor) =>
        isRoad(factor) && factor.of !== 'not-set' && factor.of !== 'energy-unknown' && factor.wearKm > 0,
    )
    .sort((a, b) => b.after.p50 - a.after.p50)
  return {
    answer: `A chain of yours ${chains.some(({ readings }) => readings > 0) ? '' : 'probably '}lengthens by ${at(p50)}\u00a0% in ${per} of dry road, probably ${at(p10)} to ${at(p90)}.`,
    rest: worst
      ? `${capital(sayFactor(worst.of))} wears your chains most: ${sayTwo(worst.after.p50)} times a dry road, probably ${sayTwo(worst.after.p10)} to ${sayTwo(worst.after.p90)}.`
      : 'Nothing but dry road was ridden yet, so the other roads are guesses.',
  }
}

function sayChainOf(garage: Garage, chain: string): string {
  const fitting = garage.parts.get(chain)?.fittings.at(-1)
  const bike = garage.bikes.get(fitting?.bike ?? '')?.entry.name
  return bike === undefined ? namePart(garage, chain) : `${bike}’s chain`
}

/** What would teach something, and what of it. */
export function sayLesson(lesson: Lesson, garage: Garage): string {
  switch (lesson.kind) {
    case 'question':
      return `What happened to ${sayChainOf(garage, lesson.chain)}: the question on Gauge is open.`
    case 'look':
      return `A careful look at ${sayChainOf(garage, lesson.chain)}, with a caliper or two instruments.`
    case 'factor':
      return lesson.of === 'not-set'
        ? 'Setting the conditions of rides that have none.'
        : `A look before and after riding with ${sayFactor(lesson.of)}: what it does is not well known.`
    case 'tool':
      return `Zeroing the ${toolName(garage.tools, lesson.tool)} on a new chain, or reading beside it with another tool.`
  }
}

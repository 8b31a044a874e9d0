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
import { words } from '../../words/stations/rates/say-rates.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

/** Readings have told something of it from this share of the uncertainty on. */
export const LEARNED_FROM = 0.03

/** A rate in the units chosen: % per 1000 km or miles. */
export const rateIn = (units: Units, rate: number): number =>
  units === 'metric' ? rate : rate / kmToMiles(1)

/** A figure with two that matter: 0.154 as 0.15, 3.66 as 3.7. */
export const sayTwo = (value: number): string =>
  value >= 9.95 ? sayDecimal(value, 0) : value >= 0.995 ? sayDecimal(value, 1) : sayDecimal(value, 2)

/** A likely figure and where 8 in 10 lie. */
export const sayInterval = ({ p10, p50, p90 }: Interval): string =>
  words.to(sayTwo(p50), sayTwo(p10), sayTwo(p90))

/** What a multiplier is of. */
export function sayFactor(of: Factor): string {
  if (of === 'not-set') return words.ridesWithoutConditions
  if (of === 'energy-unknown') return words.ridesWithoutEnergy
  if (of === 'none') return words.aBareChain
  if (of === 'wet-lube') return words.wetLubeInDust
  return of in CONDITION_MULTIPLIER ? CONDITION_NAMES[of as Condition] : LUBE_NAMES[of as Lube]
}

export const isRoad = ({ of }: FactorRate): boolean =>
  of === 'not-set' || of === 'energy-unknown' || of in CONDITION_MULTIPLIER

/** Wax against drip, in a sentence. */
export function sayContrast({ of, after, less, learned }: FactorRate): string {
  const against =
    of === 'wet-lube' ? words.wetLubeAgainstAnother : words.againstDripLube(capital(sayFactor(of)))
  const sure = learned < LEARNED_FROM ? words.thatIsStillAGuess : ''
  return words.timesTheWearProbably(
    against,
    sayTwo(after.p50),
    sayTwo(after.p10),
    sayTwo(after.p90),
    sayChance(less),
    sure,
  )
}
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** The answer the station opens with. */
export function sayRates(
  { rider, factors, chains }: RiderRates,
  units: Units,
): { answer: string; rest: string } {
  const { p10, p50, p90 } = rider.after
  const per = units === 'metric' ? words.n1000Km : words.n1000Miles
  const at = (rate: number) => sayTwo(rateIn(units, rate))
  const [worst] = factors
    .filter(
      (factor) =>
        isRoad(factor) && factor.of !== 'not-set' && factor.of !== 'energy-unknown' && factor.wearKm > 0,
    )
    .sort((a, b) => b.after.p50 - a.after.p50)
  return {
    answer: words.aChainOfYours(
      chains.some(({ readings }) => readings > 0) ? '' : words.probably,
      at(p50),
      per,
      at(p10),
      at(p90),
    ),
    rest: worst
      ? words.wearsYourChainsMost(
          capital(sayFactor(worst.of)),
          sayTwo(worst.after.p50),
          sayTwo(worst.after.p10),
          sayTwo(worst.after.p90),
        )
      : words.nothingButDryRoad,
  }
}

function sayChainOf(garage: Garage, chain: string): string {
  const fitting = garage.parts.get(chain)?.fittings.at(-1)
  const bike = garage.bikes.get(fitting?.bike ?? '')?.entry.name
  return bike === undefined ? namePart(garage, chain) : words.sChain(bike)
}

/** What would teach something, and what of it. */
export function sayLesson(lesson: Lesson, garage: Garage): string {
  switch (lesson.kind) {
    case 'question':
      return words.whatHappenedToTheQuestion(sayChainOf(garage, lesson.chain))
    case 'look':
      return words.aCarefulLookAtWithA(sayChainOf(garage, lesson.chain))
    case 'factor':
      return lesson.of === 'not-set'
        ? words.settingTheConditionsOfRides
        : words.aLookBeforeAndAfter(sayFactor(lesson.of))
    case 'tool':
      return words.zeroingTheOnANew(toolName(garage.tools, lesson.tool))
  }
}

import type { Beside, Compared, ComparedRatio, Comparison } from '../core/compare/compare.ts'
import type { Quarter } from '../core/exposure/conditions.ts'
import type { Garage } from '../core/log/garage.ts'
import type { Lube } from '../core/lube/lubes.ts'
import type { Units } from '../core/units/units.ts'
import { LUBE_NAMES, QUARTER_NAMES } from './names.ts'
import { sayCount, sayKm } from './numbers.ts'
import { namePart } from './part-name.ts'
import { sayDecimal } from './grouped-number.ts'

/** What is compared, as a choice. */
export const COMPARED_NAMES: Readonly<Record<Compared, string>> = {
  lube: 'Lubes',
  chain: 'Chains',
  bike: 'Bikes',
  season: 'Parts of the year',
}

const BESIDE_NAMES: Readonly<Record<Beside, string>> = {
  winter: 'the winter',
  dirt: 'wet and dirty roads',
  wax: 'wax on the chain',
}

/** What a group is called. */
export function sayCompared(of: Compared, key: string, garage: Garage): string {
  switch (of) {
    case 'chain':
      return namePart(garage, key, undefined, true)
    case 'bike':
      return garage.bikes.get(key)?.entry.name ?? 'a bike not in the log'
    case 'lube':
      return LUBE_NAMES[key as Lube]
    case 'season':
      return QUARTER_NAMES[key as Quarter]
  }
}

const SHARES: readonly (readonly [number, string])[] = [
  [0.25, 'a quarter'],
  [1 / 3, 'a third'],
  [0.5, 'half'],
  [2 / 3, 'two thirds'],
  [0.75, 'three quarters'],
  [1, 'all'],
]

/** A share of something as people say it. @param share 0 to 1 */
export const sayShare = (share: number): string =>
  share < 0.15
    ? 'little'
    : SHARES.reduce((best, one) => (Math.abs(one[0] - share) < Math.abs(best[0] - share) ? one : best))[1]

const figure = (value: number): string =>
  value >= 10 ? sayDecimal(value, 0) : sayDecimal(value, value < 0.995 ? 2 : 1)

/** How many times as fast: "0.6 to 0.9 times". */
export const sayTimes = ({ times: { p10, p90 } }: ComparedRatio): string =>
  `${figure(p10)} to ${figure(p90)} times`

/** What else may have made a difference; undefined where nothing in the records does. */
export function sayBeside({ beside, isOnOtherBikes }: ComparedRatio): string | undefined {
  if (isOnOtherBikes) return 'They were never on the same bike: all of the difference may be the bikes.'
  if (!beside) return undefined
  const share = sayShare(beside.share)
  return `${share.charAt(0).toUpperCase()}${share.slice(1)} of the difference may be ${BESIDE_NAMES[beside.what]}.`
}

/** Whether a ratio says that there is a difference: 1 lies outside where 8 in 10 lie. */
const differs = ({ times: { p10, p90 } }: ComparedRatio): boolean => p90 < 1 || p10 > 1

/** The answer of a comparison in a sentence or two. */
export function sayComparison(comparison: Comparison, garage: Garage): string {
  const { of, ratios, chains, groups } = comparison
  if (groups.length < 2) return 'There is not enough in the log yet to compare these.'
  const clear = [...ratios]
    .filter(differs)
    .sort((a, b) => Math.abs(Math.log(b.times.p50)) - Math.abs(Math.log(a.times.p50)))
  const [most] = clear
  const from = `${sayCount(chains, 'chain')}: `
  if (!most) return `${from}no clear difference between these.`
  const name = sayCompared(of, most.key, garage)
  const to = sayCompared(of, most.to, garage)
  const beside = sayBeside(most)
  return `${from}${name}, ${sayTimes(most)} the wear of ${to}.${beside === undefined ? '' : ` ${beside}`}`
}

/** What the records do not show, line by line. */
export function sayNotShown({ groups, of }: Comparison, garage: Garage, units: Units): readonly string[] {
  const thin = groups.filter(({ stretches, km }) => stretches < 3 || km < 1000)
  return [
    ...thin.map(
      ({ key, km, stretches }) =>
        `${sayCompared(of, key, garage)}: only ${sayCount(stretches, 'stretch')} between looks, ${sayKm(km, units)}.`,
    ),
    'Nobody drew lots: what was on which chain, and when, was chosen, and what went with the choice is in the figures.',
    'Rain, dirt, winter and wax are looked at one at a time. Load, power, the make of the chain and how it was cleaned are not.',
  ]
}

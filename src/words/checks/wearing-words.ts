import type { ThicknessTool, WearingPart } from '../../core/checks/wearing-parts.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import type { WearingOutlook } from '../../core/strategy/facts/wearing-facts.ts'
import type { Units } from '../../core/units/units.ts'
import { KM_PER_MILE, mmToInches } from '../../core/units/convert.ts'
import { sayAboutKm, sayChance, sayCount, sayDay } from '../numbers.ts'
import { sayDecimal } from '../grouped-number.ts'

/** What each part that wears is called. */
export const WEARING_NAMES: Readonly<Record<WearingPart, string>> = {
  'pads-rear': 'Disc pads, rear',
  'pads-front': 'Disc pads, front',
  'rotor-rear': 'Rotor, rear',
  'rotor-front': 'Rotor, front',
  'rim-pads-rear': 'Rim brake pads, rear',
  'rim-pads-front': 'Rim brake pads, front',
  'rim-rear': 'Rim wall, rear',
  'rim-front': 'Rim wall, front',
  'tyre-rear': 'Tread, rear',
  'tyre-front': 'Tread, front',
  'flat-rear': 'Flat of the tyre, rear',
  'sealant-rear': 'Sealant, rear',
  'sealant-front': 'Sealant, front',
}

/** What is measured of each, so that two people measure the same. */
export const WEARING_HOW: Readonly<Record<WearingPart, string>> = {
  'pads-rear': 'pad and plate together',
  'pads-front': 'pad and plate together',
  'rotor-rear': 'in the middle of the braking ring',
  'rotor-front': 'in the middle of the braking ring',
  'rim-pads-rear': 'rubber left over the wear line, from below',
  'rim-pads-front': 'rubber left over the wear line, from below',
  'rim-rear': 'side wall',
  'rim-front': 'side wall',
  'tyre-rear': 'depth of the tread, or of the wear dimples, in the middle',
  'tyre-front': 'depth of the tread, or of the wear dimples, in the middle',
  'flat-rear': 'how wide the flat in the middle is',
  'sealant-rear': 'whether it has dried',
  'sealant-front': 'whether it has dried',
}

/** What a thickness is measured with. */
export const THICKNESS_TOOL_NAMES: Readonly<Record<ThicknessTool, string>> = {
  micrometer: 'micrometer',
  caliper: 'caliper',
  'depth-gauge': 'depth gauge',
  ruler: 'ruler',
  eye: 'by eye',
}

/** A thickness as a figure: two decimals for what is thin. */
export const sayMm = (mm: number, units: Units): string =>
  units === 'metric'
    ? `${sayDecimal(mm, mm < 2.5 ? 2 : 1)}\u00a0mm`
    : `${sayDecimal(mmToInches(mm), 3)}\u00a0in`

const isSealant = ({ law }: WearingOutlook): boolean => law.gets === 'older'

/** What a part would measure now: "2.1 mm, probably 1.9 to 2.3". */
export function sayWearNow(one: WearingOutlook, units: Units): string {
  const { mm, pPast, isGuess, law } = one
  if (isSealant(one))
    return `${pPast >= 0.5 ? 'probably dry' : 'probably still liquid'}: chance that it is dry ${sayChance(pPast)}`
  const figures = `about ${sayMm(mm.p50, units)}, probably ${sayMm(mm.p10, units)} to ${sayMm(mm.p90, units)}`
  return `${figures}; limit ${sayMm(law.limitMm, units)}${isGuess ? '; a guess so far' : ''}`
}

/** How far it goes still. */
export function sayWearAhead(one: WearingOutlook, units: Units, now: IsoTime): string {
  const { toLimit, limitDay, pPast } = one
  if (pPast >= 0.5) return isSealant(one) ? 'put in fresh sealant' : 'at its limit: replace it'
  const days = limitDay
    ? `${sayDay(limitDay.p50, now)}, probably ${sayDay(limitDay.p10, now)} to ${sayDay(limitDay.p90, now)}`
    : ''
  if (isSealant(one)) return `dry about ${days || 'years from now'}`
  const km = `in about ${sayAboutKm(toLimit.p50, units)}, probably ${sayAboutKm(toLimit.p10, units)} to ${sayAboutKm(toLimit.p90, units)}`
  return `at its limit ${km}${days ? `: about ${days}` : ''}`
}

/** How fast it wears, with its interval. */
export function sayWearRate(one: WearingOutlook, units: Units): string {
  const { rate, entries, isGuess } = one
  if (isSealant(one)) {
    const life = (perThousand: number): string => `${Math.round(1000 / perThousand / 7)}`
    return `lasts about ${life(rate.p50)} weeks, probably ${life(rate.p90)} to ${life(rate.p10)}`
  }
  const per = (value: number): string =>
    units === 'metric'
      ? sayDecimal(value, rate.p50 < 0.1 ? 3 : 2)
      : sayDecimal(mmToInches(value) * KM_PER_MILE, 4)
  const unit = units === 'metric' ? 'mm per 1000 km' : 'in per 1000 mi'
  const count = entries.filter(({ mm }) => mm !== undefined).length
  return `wears ${per(rate.p50)} ${unit}, probably ${per(rate.p10)} to ${per(rate.p90)}${isGuess ? ': a guess so far' : `: learned from ${sayCount(count, 'reading')}`}`
}

/** What is to be done with it next, as a calendar's line. */
export function sayWearToDo(one: WearingOutlook): string {
  const name = WEARING_NAMES[one.part].toLowerCase()
  if (one.pPast >= 0.5) return isSealant(one) ? `renew: ${name}` : `replace: ${name}`
  return isSealant(one) ? `look at: ${name}` : `measure: ${name}`
}

import type { GearSet, GearSetFault } from '../core/gearing/bench.ts'
import type { FitQuestion } from '../core/gearing/chain-fit.ts'
import type { Breath, HillAnswer } from '../core/gearing/hill.ts'
import type { ShiftedUse } from '../core/gearing/shifted-use.ts'
import { kmToMiles } from '../core/units/convert.ts'
import type { Units } from '../core/units/units.ts'
import { sayList } from './numbers.ts'
import { sayDecimal } from './grouped-number.ts'

const NBSP = '\u00a0'

/** A set of gears in a few figures: "50/34 × 11–28". */
export const saySet = ({ rings, cogs }: GearSet): string =>
  `${[...rings].sort((a, b) => b - a).join('/')} × ${cogs.length === 1 ? cogs[0] : `${Math.min(...cogs)}–${Math.max(...cogs)}`}`

/** What is wrong with a set of gears, and how to mend it. */
export function sayGearSetFault({
  fault,
  teeth,
}: {
  readonly fault: GearSetFault
  readonly teeth?: number
}): string {
  switch (fault) {
    case 'no-ring':
      return 'Give at least one ring, as in “50 34”.'
    case 'no-cog':
      return 'Give the cogs, as in “11 13 15 17”, or a range, as in “11-28”.'
    case 'too-many':
      return 'At most three rings and fourteen cogs.'
    case 'teeth':
      return `${teeth} teeth: no chain runs on that. A ring or cog has 9 to 70.`
    case 'twice':
      return `${teeth} is there twice. Each ring and cog once.`
  }
}

/** A speed with its unit. */
export const saySpeed = (kmh: number, units: Units): string =>
  units === 'metric' ? `${sayDecimal(kmh, 1)}${NBSP}km/h` : `${sayDecimal(kmToMiles(kmh), 1)}${NBSP}mph`

/** A development: metres a crank turn, or the gear inches of old that riders in inches use. */
export const sayDevelopment = (metres: number, units: Units): string =>
  units === 'metric'
    ? `${sayDecimal(metres, 2)}${NBSP}m`
    : `${sayDecimal(metres / (Math.PI * 0.0254), 0)}${NBSP}in`

const LB_PER_KG = 2.20462

/** A mass with its unit. */
export const sayMass = (kg: number, units: Units): string =>
  units === 'metric' ? `${Math.round(kg)}${NBSP}kg` : `${Math.round(LB_PER_KG * kg)}${NBSP}lb`

/** A cadence. */
export const sayRpm = (rpm: number): string => `${Math.round(rpm)}${NBSP}rpm`

/** A share as a mechanic says it. */
export function sayShare(share: number): string {
  if (share >= 0.6) return 'most'
  if (share >= 0.42) return 'half'
  if (share >= 0.29) return 'a third'
  if (share >= 0.22) return 'a quarter'
  return `${Math.round(100 * share)}${NBSP}%`
}

const longer = (times: number): string => {
  const percent = Math.round(100 * (times - 1))
  if (Math.abs(percent) < 2) return 'about as long'
  return percent > 0 ? `about ${percent}${NBSP}% longer` : `about ${-percent}${NBSP}% less`
}

/** Less of the work than this moves, and it is much the same. */
const HARDLY = 0.05

/** Where the work goes: how much of it, to which kind of cogs, and the move that is largest. */
function sayMoves({ moves }: ShiftedUse): string {
  const moved = moves.reduce((sum, { share }) => sum + share, 0)
  const [most] = moves
  if (!most || moved < HARDLY) return 'leaves your work on much the same cogs'
  const up = moves.reduce((sum, { from, to, share }) => sum + (to > from ? share : 0), 0)
  const where = up > 0.9 * moved ? 'larger cogs' : up < 0.1 * moved ? 'smaller cogs' : 'other cogs'
  const tos = moves.filter(({ from }) => from === most.from).slice(0, 2)
  return `moves ${sayShare(moved)} of your work to ${where}, most from the ${most.from} to the ${sayList(tos.map(({ to }) => String(to)))}`
}

/** What another set of gears does to the riding and the wear, in a sentence. */
export const sayShifted = (set: GearSet, shifted: ShiftedUse): string =>
  `${saySet(set)} ${sayMoves(shifted)}: the chain lasts ${longer(1 / shifted.chainWearTimes)}, the cog that wears first ${longer(shifted.cogLifeTimes)}.`

/** What a hill asks of a set of gears, in a sentence. */
export function sayHill(name: string, gradePercent: number, hill: HillAnswer, slowestRpm: number): string {
  const grade = `${sayDecimal(gradePercent, 1).replace(/[.,]0$/, '')}${NBSP}%`
  if (hill.isWalking) return `On ${grade} ${name} is at walking pace in its easiest gear: you would get off.`
  return hill.cadenceRpm >= slowestRpm
    ? `On ${grade} ${name} climbs at ${sayRpm(hill.cadenceRpm)} in its easiest gear: low enough.`
    : `On ${grade} ${name} climbs at ${sayRpm(hill.cadenceRpm)} in its easiest gear: you want ${Math.round(slowestRpm)} at least.`
}

export const BREATH_NAMES: Readonly<Record<Breath, string>> = {
  easy: 'I can sing',
  steady: 'I can talk',
  hard: 'a word at a time',
}

const FIT_NAMES: Readonly<Record<FitQuestion['what'], string>> = {
  capacity: 'Slack the rear cage must take up',
  'largest-cog': 'Largest cog the rear derailleur must clear',
  'front-difference': 'Difference of the rings',
  speeds: 'Cogs, as the shifter has clicks',
  common: 'Beyond any derailleur in common use',
}

/** A question of fit and how it stands. */
export function sayFit({ what, says, needed, has }: FitQuestion): string {
  const of = `${FIT_NAMES[what]}: ${needed}`
  if (what === 'common')
    return `${needed} teeth: no derailleur in common use takes more than ${has}. Ask the maker.`
  if (says === 'ask') return `${of}. Not entered for this bike: ask the maker.`
  return says === 'fits' ? `${of}; it takes ${has}. Fits.` : `${of}; it takes ${has}. Does not fit.`
}

/** One ring in place of two: the order of the work. */
export const ONE_RING_STEPS: readonly string[] = [
  'Measure the chain first: a worn one ruins the new ring.',
  'Find out the ring’s bolt circle and chain line; ask the maker where you are not sure.',
  'Shift to the smallest ring, take the chain off, take off the front derailleur with its cable and the left shifter’s insides.',
  'Cranks off by their own instructions: each kind comes off in its own way.',
  'Both rings off, bolts cleaned. The new ring on, its bolts greased, tightened crosswise to the maker’s torque. One ring may need shorter bolts.',
  'Cranks on, to the maker’s torque.',
  'Chain to its new length: count the links below. A clutch or a ring with tall teeth keeps it on.',
  'Limit screws, gap, cable tension. Check every gear with the wheel off the ground.',
]
export const ONE_RING_TOOLS =
  'Tools: gauge, chain tool or link pliers, crank tool for your cranks, hex and star keys, ring nut key, grease, torque wrench.'

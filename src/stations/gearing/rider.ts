import { USUAL_MASS_KG } from '../../core/exposure/chain-energy.ts'
import { USUAL_CIRCUMFERENCE_MM } from '../../core/exposure/ride-gears.ts'
import { powerByBreath, type OwnHill } from '../../core/gearing/hill.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import type { GearingEntry } from '../../core/log/kinds/gearing.ts'

/** A cadence that is comfortable, and one that is still so on a climb, until the rider says so. Ours. */
const [USUAL_RPM, SLOWEST_RPM] = [85, 60] as const
/** Where no ride tells of hills, %. Ours. */
const USUAL_HILL = 8

/** Figures that were moved on the page and are not kept yet. */
export type RiderMoves = Partial<
  Pick<GearingEntry, 'powerW' | 'hillPercent' | 'cadenceRpm' | 'slowestRpm' | 'chainstayMm'> &
    Pick<BikeEntry, 'massKg' | 'circumferenceMm'>
>

/** What the bike's gears are chosen by, with guesses in place of what nobody has said. */
export interface Rider {
  readonly circumferenceMm: number
  readonly isWheelGuessed: boolean
  readonly cadenceRpm: number
  readonly slowestRpm: number
  readonly powerW: number
  readonly isPowerGuessed: boolean
  readonly massKg: number
  readonly isMassGuessed: boolean
  readonly hillPercent: number
  readonly ownHill: OwnHill | undefined
  readonly isHillTyped: boolean
  readonly chainstayMm: number | undefined
  readonly isStayGuessed: boolean
}

/** What is known of rider, wheel and hill, and guesses for the rest. @param stayGuess the chainstay that the chain that is on was cut for */
export function riderOf(
  entry: BikeEntry,
  kept: Partial<GearingEntry>,
  hill: OwnHill | undefined,
  stayGuess: number | undefined,
): Rider {
  const massKg = entry.massKg ?? USUAL_MASS_KG
  return {
    circumferenceMm: entry.circumferenceMm ?? USUAL_CIRCUMFERENCE_MM,
    isWheelGuessed: entry.circumferenceMm === undefined,
    cadenceRpm: kept.cadenceRpm ?? USUAL_RPM,
    slowestRpm: kept.slowestRpm ?? SLOWEST_RPM,
    powerW: kept.powerW ?? powerByBreath('steady', massKg),
    isPowerGuessed: kept.powerW === undefined,
    massKg,
    isMassGuessed: entry.massKg === undefined,
    hillPercent: kept.hillPercent ?? hill?.gradePercent ?? USUAL_HILL,
    ownHill: hill,
    isHillTyped: kept.hillPercent !== undefined,
    chainstayMm: kept.chainstayMm ?? stayGuess,
    isStayGuessed: kept.chainstayMm === undefined,
  }
}

import type { BikeEntry } from '../log/kinds/bike.ts'
import type { School } from '../log/kinds/limit.ts'
import type { SprocketMaterial } from '../log/kinds/part.ts'

/** Why a limit is what it is. */
export type LimitReason =
  /** One cog alone takes a longer chain. */
  | { readonly is: 'single-cog' }
  | { readonly is: 'soft-cogs'; readonly material: Exclude<SprocketMaterial, 'steel'> }
  | { readonly is: 'narrow'; readonly speeds: number }
  | { readonly is: 'electric' }
  /** Steel cogs, up to 10-speed. */
  | { readonly is: 'steel' }
  | { readonly is: 'early' | 'late' }
  /** The owner's own, with the owner's words for it. */
  | { readonly is: 'own'; readonly because?: string }

export interface Limit {
  /** Elongation at which the chain is to be replaced, %. */
  readonly percent: number
  readonly school: School
  readonly reason: LimitReason
}

/** A limit of the owner's own. */
export interface OwnLimit {
  readonly percent: number
  readonly reason?: string | undefined
}

/** What decides the usual limit. */
export type Drivetrain = Pick<BikeEntry, 'speeds' | 'shifting'> & { readonly cogMaterial: SprocketMaterial }

function usualLimit({ speeds, shifting, cogMaterial }: Drivetrain): Omit<Limit, 'school'> {
  if (speeds === 1) return { percent: 1, reason: { is: 'single-cog' } }
  if (cogMaterial !== 'steel') return { percent: 0.5, reason: { is: 'soft-cogs', material: cogMaterial } }
  if (speeds >= 11) return { percent: 0.5, reason: { is: 'narrow', speeds } }
  if (shifting === 'electric') return { percent: 0.5, reason: { is: 'electric' } }
  return { percent: 0.75, reason: { is: 'steel' } }
}

/**
 * The elongation limit for a drivetrain under a school: early 0.5 %, usual by drivetrain, late 1.0 %; or the owner's
 * own for the bike, which comes before any school.
 */
export function limitFor(drivetrain: Drivetrain, school: School, own?: OwnLimit): Limit {
  if (own)
    return { percent: own.percent, school, reason: { is: 'own', ...(own.reason && { because: own.reason }) } }
  switch (school) {
    case 'early':
      return { percent: 0.5, school, reason: { is: 'early' } }
    case 'late':
      return { percent: 1, school, reason: { is: 'late' } }
    case 'usual':
      return { ...usualLimit(drivetrain), school }
  }
}

/** Past this a fresh chain will probably not run on the used cogs, %. */
export const COGS_TOO_PERCENT = 0.9

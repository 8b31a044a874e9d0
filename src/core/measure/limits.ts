import type { BikeEntry } from '../log/kinds/bike.ts'
import type { School } from '../log/kinds/limit.ts'
import type { SprocketMaterial } from '../log/kinds/part.ts'

export interface Limit {
  /** Elongation at which the chain is to be replaced, %. */
  readonly percent: number
  readonly school: School
  /** Why this figure, in one clause. */
  readonly reason: string
}

/** A limit of the owner's own. */
export interface OwnLimit {
  readonly percent: number
  readonly reason?: string | undefined
}

/** What decides the usual limit. */
export type Drivetrain = Pick<BikeEntry, 'speeds' | 'shifting'> & { readonly cogMaterial: SprocketMaterial }

function usualLimit({ speeds, shifting, cogMaterial }: Drivetrain): Omit<Limit, 'school'> {
  if (speeds === 1) return { percent: 1, reason: 'a single cog takes a chain up to 1.0 %' }
  if (cogMaterial !== 'steel')
    return { percent: 0.5, reason: `${cogMaterial} cogs wear fast under a long chain` }
  if (speeds >= 11) return { percent: 0.5, reason: `narrow ${speeds}-speed chains are changed at 0.5 %` }
  if (shifting === 'electric') return { percent: 0.5, reason: 'electric shifting needs a chain under 0.5 %' }
  return { percent: 0.75, reason: `the usual rule for steel cogs up to 10-speed` }
}

/**
 * The elongation limit for a drivetrain under a school: early 0.5 %, usual by drivetrain, late 1.0 %; or the owner's
 * own for the bike, which comes before any school.
 */
export function limitFor(drivetrain: Drivetrain, school: School, own?: OwnLimit): Limit {
  if (own)
    return {
      percent: own.percent,
      school,
      reason: own.reason ? `your own limit: ${own.reason}` : 'your own limit for this bike',
    }
  switch (school) {
    case 'early':
      return {
        percent: 0.5,
        school,
        reason: 'early: change chains often, and cogs and rings last longest',
      }
    case 'late':
      return {
        percent: 1,
        school,
        reason: 'late: run the chain, cogs and rings to the end, then replace them all',
      }
    case 'usual':
      return { ...usualLimit(drivetrain), school }
  }
}

/** Past this a fresh chain will probably not run on the used cogs, %. */
export const COGS_TOO_PERCENT = 0.9

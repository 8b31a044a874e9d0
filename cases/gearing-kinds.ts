import { boolean, object } from 'yup'
import { chainLength } from '../src/core/gearing/chain-length.ts'
import { cadenceAt, climbSpeed } from '../src/core/gearing/climb.ts'
import { gear } from '../src/core/gearing/ratio.ts'
import { figure, kind, type Runner } from './kind.ts'

/** Cases about gears, chain length and climbs. */
export const GEARING_KINDS: Readonly<Record<string, Runner>> = {
  'gearing.ratio': kind(
    object({ circumferenceMm: figure(), ring: figure(), cog: figure(), cadence: figure() }),
    ({ circumferenceMm, ring, cog, cadence }) => ({ ...gear(circumferenceMm, ring, cog, cadence) }),
  ),
  'gearing.chainLength': kind(
    object({
      chainstayMm: figure(),
      ring: figure(),
      cog: figure(),
      derailleur: boolean().strict().required(),
    }),
    ({ chainstayMm, ring, cog, derailleur }) => ({ ...chainLength(chainstayMm, ring, cog, derailleur) }),
  ),
  'gearing.climb': kind(
    object({
      powerW: figure(),
      massKg: figure(),
      gradePercent: figure(),
      crr: figure(),
      cda: figure(),
      rho: figure(),
      efficiency: figure(),
      circumferenceMm: figure(),
      ring: figure(),
      cog: figure(),
    }),
    ({ circumferenceMm, ring, cog, ...rider }) => {
      const speedKmh = climbSpeed(rider)
      return { speedKmh, cadenceRpm: cadenceAt(speedKmh, circumferenceMm, ring, cog) }
    },
  ),
}

import type { BikeEntry } from '../log/kinds/bike.ts'

/** What kinds of drivetrain are told apart where nothing else is known of a bike: what its limit depends on. */
export const DRIVETRAINS = {
  single: { speeds: 1, shifting: 'none', motor: 'none' },
  few: { speeds: 10, shifting: 'cable', motor: 'none' },
  many: { speeds: 11, shifting: 'cable', motor: 'none' },
  electric: { speeds: 12, shifting: 'electric', motor: 'none' },
  motor: { speeds: 11, shifting: 'cable', motor: 'mid-drive' },
} as const satisfies Readonly<Record<string, Pick<BikeEntry, 'speeds' | 'shifting' | 'motor'>>>
export type DrivetrainKind = keyof typeof DRIVETRAINS

/** A usual chain, where nobody has counted its links. */
export const USUAL_LINKS = 114

import type { ThicknessTool, WearingPart } from '../../checks/wearing-parts.ts'
import type { BikeId, EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** Something that wears was measured, or fitted new: a pad, a rotor, a tyre, sealant. */
export interface ThicknessEntry extends EntryBase {
  readonly kind: 'thickness'
  readonly bike: BikeId
  readonly part: WearingPart
  /** Fitted or filled new at that moment: what went before is another life. */
  readonly isNew?: true
  /** mm; absent where it was only renewed, and of sealant. */
  readonly mm?: number
  readonly by?: ThicknessTool
  /** The maker's limit, mm, in place of the usual one; the last word counts. */
  readonly limitMm?: number
  /** Of sealant: whether it had dried. */
  readonly isDry?: boolean
}

/** What a thickness can be, mm. Each part has bounds of its own below these. */
export const THICKNESS_BOUNDS = { mm: 60 } as const

/** The key under which one part of a bike is listed. */
export const thicknessKey = (bike: BikeId, part: WearingPart): string => `${bike} ${part}`

export const thickness: Kind<ThicknessEntry> = {
  fields: {
    bike: 'own',
    part: 'measure',
    isNew: 'measure',
    mm: 'measure',
    by: 'measure',
    limitMm: 'measure',
    isDry: 'measure',
  },
  isAbout: ({ bike }) => [bike],
  key: ({ bike, part }) => thicknessKey(bike, part),
}

import type { EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** Whether what the lessons measured is used for the rider's own readings and looks. The last word counts; without one it is not. */
export interface SchoolUseEntry extends EntryBase {
  readonly kind: 'school-use'
  readonly readings: boolean
  readonly looks: boolean
}

export const schoolUse: Kind<SchoolUseEntry> = {
  fields: { readings: 'measure', looks: 'measure' },
  isAbout: () => [],
  key: () => 'school',
}

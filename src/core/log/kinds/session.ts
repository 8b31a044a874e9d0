import type { WashWay } from '../../lube/wash-ways.ts'
import type { StepKind } from '../../session/step-kinds.ts'
import type { BikeId, EntryBase, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** A wash that was run from its plan: how long its steps really took. `at` is when it ended. */
export interface SessionEntry extends EntryBase {
  readonly kind: 'session'
  readonly bike: BikeId
  readonly chains: readonly PartId[]
  readonly way: WashWay
  /** From the first step to the end, minutes. */
  readonly minutes: number
  /** Hands' minutes of one chain or bike, by kind of step; those that were timed. */
  readonly stepMin: Readonly<Partial<Record<StepKind, number>>>
}

/** The longest session and step, minutes, and the most chains. */
export const SESSION_BOUNDS = { minutes: 1440, stepMin: 240, chains: 20 } as const

export const session: Kind<SessionEntry> = {
  fields: { bike: 'own', chains: 'own', way: 'measure', minutes: 'measure', stepMin: 'measure' },
  isAbout: ({ bike, chains }) => [bike, ...chains],
  key: ({ bike }) => bike,
}

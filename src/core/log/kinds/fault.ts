import type { NoiseCause, ShiftCause } from '../../faults/causes.ts'
import type { BikeId, EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** What became of a fault: mended, found but not mended, or not found. */
export const FAULT_OUTCOMES = ['mended', 'not-mended', 'not-found'] as const
export type FaultOutcome = (typeof FAULT_OUTCOMES)[number]

/** A fault that was looked for: how it shows, what was found, and what became of it. The last of a fault counts. */
export interface FaultEntry extends EntryBase {
  readonly kind: 'fault'
  readonly fault: string
  readonly bike: BikeId
  /** Why it slips and skips, or where it creaks. */
  readonly about: 'shifting' | 'noise'
  /** What was answered: several values where answers contradict one another. */
  readonly answers: readonly { readonly finding: string; readonly said: readonly string[] }[]
  /** The cogs it happens on, by tooth count; absent: not said. */
  readonly cogs?: readonly number[]
  readonly found: readonly (ShiftCause | NoiseCause)[]
  readonly outcome: FaultOutcome
  /** Asked once, after a ride: whether it is gone. */
  readonly afterwards?: 'gone' | 'still-there' | 'not-sure'
}

/** Bounds of a fault's fields. */
export const FAULT_BOUNDS = { answers: 80, values: 8, found: 8, cogs: 16, nameLetters: 40 } as const

export const fault: Kind<FaultEntry> = {
  fields: {
    fault: 'own',
    bike: 'own',
    about: 'measure',
    answers: { finding: 'own', said: 'own' },
    cogs: 'measure',
    found: 'measure',
    outcome: 'measure',
    afterwards: 'measure',
  },
  isAbout: ({ bike }) => [bike],
  key: ({ fault }) => fault,
}

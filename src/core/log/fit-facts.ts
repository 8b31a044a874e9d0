import type { HoldsOf } from './kinds/fields.ts'

/** What decides whether a part goes on a bike; what is absent is not known. Of a bike: what it takes. */
export interface FitFacts {
  readonly speeds?: number
  /** Of a chain: between two pins, and between the inner plates, mm. */
  readonly pitchMm?: number
  readonly innerWidthMm?: number
  /** From one cog to the next, mm. */
  readonly spacingMm?: number
  /** What the cassette slides onto, in its maker's words. */
  readonly freehub?: string
  /** Of a ring: the circle that its bolts stand on, mm, and how many there are. */
  readonly boltCircleMm?: number
  readonly bolts?: number
  /** Tooth counts: of a cassette or ring, of pulleys, of a single cog. */
  readonly teeth?: readonly number[]
  /** Of a rear derailleur: the teeth of slack that its cage takes up, and the largest cog that it clears. */
  readonly capacityTeeth?: number
  readonly largestCog?: number
  /** Of a joining link: which kind of chain it closes, in its maker's words. */
  readonly linkKind?: string
}

/** What each of these facts holds. */
export const FIT_FIELDS = {
  speeds: 'measure',
  pitchMm: 'measure',
  innerWidthMm: 'measure',
  spacingMm: 'measure',
  freehub: 'words',
  boltCircleMm: 'measure',
  bolts: 'measure',
  teeth: 'measure',
  capacityTeeth: 'measure',
  largestCog: 'measure',
  linkKind: 'words',
} as const satisfies HoldsOf<FitFacts>

/** Bounds of these facts. */
export const FIT_BOUNDS = {
  speeds: [1, 16],
  mm: [0.5, 300],
  bolts: [3, 12],
  teeth: [5, 120],
  capacityTeeth: [1, 100],
  words: 60,
} as const

import type { BikeId, EntryBase, IsoTime } from '../entry.ts'
import type { Kind } from './kind.ts'

/** What became of a job at a visit: not decided yet, done, or left for another time. */
export const JOB_OUTCOMES = ['open', 'done', 'left'] as const
export type JobOutcome = (typeof JOB_OUTCOMES)[number]

/** Something that could be done to a bike at a visit. */
export interface VisitJob {
  /** The same for the same job from one visit to the next: `chain`, `brake-pads`, or an id of its own. */
  readonly id: string
  readonly name: string
  /** Riding on without it may hurt somebody. */
  readonly isSafety: boolean
  /** Of its parts, minor units of the visit's currency. */
  readonly price: number
  readonly minutes: number
  /** How much it is worth beside the others, 0 to 100. */
  readonly worth: number
  /** A part for it cannot be had now. */
  readonly isOut?: boolean
  /** Jobs without which it makes no sense; of each group one at least; and jobs that it takes the place of. */
  readonly needs?: readonly string[]
  readonly needsOneOf?: readonly (readonly string[])[]
  readonly excludes?: readonly string[]
  /** What was found, in a line for the owner. */
  readonly found?: string
  readonly outcome: JobOutcome
  /** Why it was left, in a line for the owner, and by when it should be seen to: km from then on, and a day. */
  readonly why?: string
  readonly byKm?: number
  readonly byDay?: IsoTime
}

/** A bike at the stand for a fixed sum: what could be done, what was done, and the owner's sheet. The last of a visit counts. */
export interface VisitEntry extends EntryBase {
  readonly kind: 'visit'
  readonly visit: string
  readonly bike: BikeId
  /** ISO 4217. */
  readonly currency: string
  /** What the owner will spend, and what an hour costs, minor units. */
  readonly sum: number
  readonly hour: number
  /** Safety counts for so many times its worth. */
  readonly safetyTimes: number
  readonly jobs: readonly VisitJob[]
  /** The sheet's sentences: what was found, what to expect, and what to take care of. */
  readonly found?: readonly string[]
  readonly expect?: readonly string[]
  readonly cautions?: readonly string[]
  /** The visit is over, and its sheet is written. */
  readonly isClosed?: boolean
}

/** Bounds of a visit's fields. */
export const VISIT_BOUNDS = {
  jobs: 60,
  minor: 1e9,
  minutes: 6000,
  worth: 100,
  safetyTimes: [1, 20],
  byKm: 100_000,
  lines: 40,
} as const

export const visit: Kind<VisitEntry> = {
  fields: {
    visit: 'own',
    bike: 'own',
    currency: 'own',
    sum: 'money',
    hour: 'money',
    safetyTimes: 'measure',
    jobs: {
      id: 'own',
      name: 'words',
      isSafety: 'measure',
      price: 'money',
      minutes: 'measure',
      worth: 'measure',
      isOut: 'measure',
      needs: 'own',
      needsOneOf: 'own',
      excludes: 'own',
      found: 'words',
      outcome: 'measure',
      why: 'words',
      byKm: 'measure',
      byDay: 'own',
    },
    found: 'words',
    expect: 'words',
    cautions: 'words',
    isClosed: 'measure',
  },
  ofPeople: true,
  ofMoney: true,
  isAbout: ({ bike }) => [bike],
  key: ({ visit }) => visit,
}

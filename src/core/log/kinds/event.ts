import type { Condition } from '../../exposure/conditions.ts'
import type { EntryBase, BikeId, IsoTime } from '../entry.ts'
import type { Kind } from './kind.ts'

/** Something planned with a bike: a tour, a race, a week of deliveries. */
export interface EventEntry extends EntryBase {
  readonly kind: 'event'
  readonly event: string
  readonly bike: BikeId
  readonly name: string
  /** When it begins; `at` is when it was planned. */
  readonly starts: IsoTime
  /** How long it takes, days, 1 or more. */
  readonly days: number
  readonly km: number
  readonly condition: Condition
}

/** Bounds of an event's distance and length. */
export const EVENT_BOUNDS = { km: 50_000, days: 400 } as const

export const event: Kind<EventEntry> = {
  fields: {
    event: 'own',
    bike: 'own',
    name: 'words',
    starts: 'own',
    days: 'measure',
    km: 'measure',
    condition: 'measure',
  },
  ofPeople: true,
  isAbout: ({ bike }) => [bike],
  key: ({ event }) => event,
  bornOnce: true,
}

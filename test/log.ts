import { ENTRY_FORMAT } from '../src/core/log/entry.ts'
import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import { makeEntryId } from '../src/core/log/entry-id.ts'
import { lengthAtElongation } from '../src/core/measure/elongation.ts'

/** Fourteen bytes that differ from one entry to the next, in place of chance. */
const bytesFor = (count: number): Uint8Array =>
  Uint8Array.from({ length: 16 }, (_, i) => (count * 31 + i * 7) % 256)

/** Entries as the store would write them, one millisecond apart. */
export function written(drafts: readonly EntryDraft[], fromMs = Date.UTC(2026, 0, 1)): Entry[] {
  return drafts.map((draft, i) => ({
    ...draft,
    format: ENTRY_FORMAT,
    id: makeEntryId(fromMs + i, 0, bytesFor(i)),
  }))
}

/** Noon of a day of 2026. */
export const noon = (month: number, day: number): string =>
  new Date(Date.UTC(2026, month - 1, day, 12)).toISOString()

/** A commuter with eleven cogs and a chain fitted new on 1 January. */
export const commuter: readonly EntryDraft[] = [
  {
    kind: 'bike',
    at: noon(1, 1),
    bike: 'heron',
    name: 'Heron',
    note: 'steel commuter',
    speeds: 11,
    shifting: 'cable',
    motor: 'none',
    usualCondition: 'dry-road',
    storage: 'indoors',
  },
  {
    kind: 'part',
    at: noon(1, 1),
    part: 'chain',
    name: 'Chain 1',
    spec: { type: 'chain', links: 116, speeds: 11, past: 'new' },
  },
  { kind: 'fit', at: noon(1, 1), part: 'chain', bike: 'heron' },
  {
    kind: 'part',
    at: noon(1, 1),
    part: 'cassette',
    name: 'Cassette',
    spec: { type: 'cassette', teeth: [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42], material: 'steel' },
  },
  { kind: 'fit', at: noon(1, 1), part: 'cassette', bike: 'heron' },
  {
    kind: 'part',
    at: noon(1, 1),
    part: 'ring',
    name: 'Ring 40',
    spec: { type: 'ring', teeth: 40, material: 'steel' },
  },
  { kind: 'fit', at: noon(1, 1), part: 'ring', bike: 'heron' },
]

/** A second bike, with eleven speeds too and nothing on it. */
export const kite: EntryDraft = {
  kind: 'bike',
  at: noon(1, 1),
  bike: 'kite',
  name: 'Kite',
  note: '',
  speeds: 11,
  shifting: 'cable',
  motor: 'none',
  usualCondition: 'dry-road',
  storage: 'indoors',
}
/** A chain for it, of the same name as the commuter's. */
export const kiteChain: readonly EntryDraft[] = [
  {
    kind: 'part',
    at: noon(1, 1),
    part: 'kite-chain',
    name: 'Chain 1',
    spec: { type: 'chain', links: 116, speeds: 11, past: 'new' },
  },
  { kind: 'fit', at: noon(1, 1), part: 'kite-chain', bike: 'kite' },
]

/** A joining link that may be closed twice, on no bike yet. */
export const joiningLink: EntryDraft = {
  kind: 'part',
  at: noon(1, 1),
  part: 'link',
  name: 'Joining link 1',
  spec: { type: 'joining-link', speeds: 11, closingsAllowed: 2, closedBefore: 0 },
}

/** A dry-road ride of the commuter. */
export const ride = (
  month: number,
  day: number,
  km: number,
  more: Partial<Extract<EntryDraft, { kind: 'ride' }>> = {},
): EntryDraft => ({
  kind: 'ride',
  at: noon(month, day),
  bike: 'heron',
  km,
  condition: 'dry-road',
  ...more,
})

/** A rule laid over 24 pitches of the commuter's chain. */
export const ruleReading = (month: number, day: number, lengthMm: number): EntryDraft => ({
  kind: 'reading',
  at: noon(month, day),
  chain: 'chain',
  reading: { instrument: 'rule', pitches: 24, lengthMm },
})

/** Readings of the commuter's chain with a caliper on one day, at so many places. */
export const caliperReadings = (month: number, day: number, percent: number, times = 3): EntryDraft[] =>
  Array.from({ length: times }, (_, i) => {
    const length = lengthAtElongation(8, percent)
    return {
      kind: 'reading',
      at: noon(month, day),
      chain: 'chain',
      place: 20 * (i + 1),
      reading: { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 },
    }
  })

/** Twelve rides of 100 km in as many weeks. */
export const hundreds: readonly EntryDraft[] = Array.from({ length: 12 }, (_, i) =>
  ride(1 + Math.floor(i / 4), 5 + 5 * (i % 4), 100),
)

/** A tour of nine days from 2 May on, planned with the commuter. */
export const springTour = {
  kind: 'event',
  at: noon(1, 4),
  event: 'tour',
  bike: 'heron',
  name: 'Spring tour',
  starts: noon(5, 2),
  days: 9,
  km: 900,
  condition: 'wet-road',
} as const satisfies EntryDraft

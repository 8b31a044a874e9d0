import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import { makeEntryId } from '../src/core/log/entry-id.ts'

/** Fourteen bytes that differ from one entry to the next, in place of chance. */
const bytesFor = (count: number): Uint8Array =>
  Uint8Array.from({ length: 16 }, (_, i) => (count * 31 + i * 7) % 256)

/** Entries as the store would write them, one millisecond apart. */
export function written(drafts: readonly EntryDraft[], fromMs = Date.UTC(2026, 0, 1)): Entry[] {
  return drafts.map((draft, i) => ({ ...draft, id: makeEntryId(fromMs + i, 0, bytesFor(i)) }))
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
    usual: 'dry-road',
    kept: 'indoors',
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
  usual: 'dry-road',
  kept: 'indoors',
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

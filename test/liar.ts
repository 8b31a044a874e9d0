import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import { entryIdTime, makeEntryId } from '../src/core/log/entry-id.ts'
import { ENTRY_FORMAT } from '../src/core/log/entry.ts'
import { firstIdOf, firstText } from '../src/core/log/first-writing.ts'
import { logAfter, mergeLogs } from '../src/core/log/merge.ts'
import { withOneStamp } from '../src/core/log/one-stamp.ts'
import { overruledBy } from '../src/core/log/overruled.ts'
import { liveEntries } from '../src/core/log/supersede.ts'
import { stampedAgain, writtenAs } from '../src/core/log/written-as.ts'
import type { Random } from '../src/core/stats/random.ts'
import { commuter, noon, ride, ruleReading, written } from './log.ts'

const NOW = Date.UTC(2027, 0, 1)
const DAY = 86_400_000

/** What a liar's file does to an entry of somebody else. */
export const LIES = [
  'same id',
  'earlier id',
  'earlier id, same words',
  'later id',
  'shortened',
  'shortened, all altered',
  'another first id',
  'taken out',
  'corrected',
  'another action',
  'something new',
] as const
export type Lie = (typeof LIES)[number]

const pick = <T>(random: Random, list: readonly T[]): T => {
  const hit = list[Math.floor(random.between(0, list.length))]
  if (hit === undefined) throw new RangeError('Nothing to pick from.')
  return hit
}

const twisted = (entry: Entry): Entry =>
  entry.kind === 'ride' ? { ...entry, km: 999 } : { ...entry, at: '2025-01-01T12:00:00.000Z' }

/** An honest log: rides, readings, a correction, something taken out; an entry whose clock ran ahead among it. */
export function honestLog(random: Random, isOfOldVersion: boolean): readonly Entry[] {
  const drafts: EntryDraft[] = [
    ...commuter,
    ...Array.from({ length: 4 }, (_, i) => ride(2, 2 + i, 10 + Math.floor(random.between(0, 50)))),
    ruleReading(3, 1, 305.1),
  ]
  if (isOfOldVersion) return written(drafts, NOW - 30 * DAY)
  const log = drafts.flatMap((draft, i) => writtenAs([draft], undefined, NOW - 30 * DAY + i * 1000, 'Ada'))
  const last = log.at(-2)
  const more: EntryDraft[] = last
    ? [
        { ...ride(2, 5, 33), supersedes: last.id },
        { kind: 'withdraw', at: noon(3, 2), targets: [log[7]?.id ?? ''] },
      ]
    : []
  const later = more.map((draft, i) => writtenAs([draft], undefined, NOW - 20 * DAY + i * 1000)[0])
  const early = writtenAs([ride(2, 9, 21)], undefined, NOW + 400 * DAY)
  const again = stampedAgain(early, undefined, NOW - 10 * DAY)
  return [...log, ...later.flatMap((entry) => entry ?? []), ...again]
}

/** One entry of a liar's, about an entry of an honest log. */
export function lieAbout(entry: Entry, lie: Lie, random: Random): Entry {
  const at = entryIdTime(entry.id)
  const id = (ms: number): string => makeEntryId(ms, 0, random.bytes(16))
  const { action: _action, ...bare } = entry
  switch (lie) {
    case 'same id':
      return twisted(entry)
    case 'earlier id':
      return { ...twisted(entry), id: id(at - random.between(1, 40 * DAY)), firstId: firstIdOf(entry) }
    case 'earlier id, same words':
      return { ...entry, id: id(at - random.between(1, 40 * DAY)), firstId: firstIdOf(entry) }
    case 'later id':
      return { ...twisted(entry), id: id(at + random.between(1, DAY)), firstId: firstIdOf(entry) }
    case 'shortened':
      return { ...twisted(entry), abridged: true }
    case 'shortened, all altered':
      return { ...twisted(entry), abridged: true, altered: Object.keys(entry) }
    case 'another first id':
      return { ...twisted(entry), firstId: id(at - DAY) }
    case 'taken out':
      return {
        kind: 'withdraw',
        format: ENTRY_FORMAT,
        id: id(NOW - DAY),
        at: noon(6, 1),
        targets: [entry.id],
      }
    case 'corrected':
      return { ...twisted(bare), id: id(NOW - DAY), supersedes: entry.id }
    case 'another action':
      return { ...entry, action: id(at - DAY) }
    case 'something new':
      return { ...twisted(bare), id: id(NOW - DAY) }
  }
}

/** A device that takes files in, with what it asks its owner about. */
interface Taking {
  log: readonly Entry[]
  readonly aside: Entry[]
  readonly asked: Set<string>
}

function takeIn(device: Taking, file: readonly Entry[]): void {
  const merge = mergeLogs(device.log, file, NOW)
  const after = logAfter(device.log, merge)
  const told = new Set(overruledBy(device.log, file, after).flatMap(({ id, now }) => [id, now]))
  for (const entry of [...device.log, ...after]) if (told.has(entry.id)) device.asked.add(firstIdOf(entry))
  device.aside.push(...merge.differing)
  device.log = after
}

/**
 * Plays a liar against an honest log: parts of the log and the liar's files come to a device in any order.
 * @returns which entry was changed or lost without a question; undefined where none was
 */
export function playLiar(random: Random, isOfOldVersion: boolean): string | undefined {
  const honest = honestLog(random, isOfOldVersion)
  const counting = new Set(liveEntries(withOneStamp(honest)).map(firstIdOf))
  const device: Taking = { log: random.between(0, 1) < 0.5 ? honest : [], aside: [], asked: new Set() }
  const lies = Array.from({ length: 3 }, () => pick(random, LIES))
  const files = [...lies.map((lie) => [lieAbout(pick(random, honest), lie, random)]), honest]
  while (files.length > 0)
    takeIn(device, files.splice(Math.floor(random.between(0, files.length)), 1)[0] ?? [])
  takeIn(device, honest)
  const standing = new Map(device.log.map((entry) => [firstText(entry), entry]))
  const beside = new Set(device.aside.map(firstText))
  const live = new Set(liveEntries(withOneStamp(device.log)).map(firstIdOf))
  for (const entry of honest) {
    const text = firstText(entry)
    const said = `${lies.join(', ')}: ${entry.kind} ${entry.id}`
    if (!standing.has(text)) {
      // Nothing proves an entry of an earlier version: whoever came first stands, and both are shown.
      if (isOfOldVersion && beside.has(text)) continue
      return `${said} is lost`
    }
    const first = firstIdOf(entry)
    if (counting.has(first) === live.has(first) || device.asked.has(first)) continue
    return `${said} ${live.has(first) ? 'counts again' : 'no longer counts'}`
  }
  return undefined
}

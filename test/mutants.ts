import { seededRandom, type Random } from '../src/core/stats/random.ts'
import type { Entry } from '../src/core/log/entries.ts'
import type { EntryId } from '../src/core/log/entry.ts'
import { writeBackup } from '../src/formats/write-backup.ts'

/** Values that fields of a record are known to break on. */
export const ODD_VALUES: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  -0,
  1e308,
  1e-308,
  2 ** 53,
  NaN,
  '',
  ' ',
  'x'.repeat(5000),
  '\u0000',
  'a\r\nATTENDEE:x',
  '\u202egnp.exe',
  '<img src=x onerror=alert(1)>',
  '__proto__',
  'constructor',
  '9999-12-31T12:00:00.000Z',
  'Jan 1 2030',
  '0026-01-01T00:00:00.000Z',
  'ffffffff-ffff-7fff-bfff-ffffffffffff',
  'zzzz',
  [],
  {},
  [[[[[[]]]]]],
  { __proto__: null, type: '__proto__' },
]

const pick = <T>(random: Random, items: readonly T[]): T | undefined =>
  items[Math.floor(random.between(0, items.length))]

/** One field of an entry, at any depth, made odd, dropped, doubled or moved. */
function oddEntry(entry: Entry, random: Random): Record<string, unknown> {
  const copy = JSON.parse(JSON.stringify(entry)) as Record<string, unknown>
  let at: Record<string, unknown> = copy
  for (;;) {
    const key = pick(random, Object.keys(at)) ?? 'kind'
    const inner = at[key]
    if (typeof inner === 'object' && inner !== null && random.between(0, 1) < 0.6) {
      at = inner as Record<string, unknown>
      continue
    }
    const how = random.between(0, 1)
    if (how < 0.15) delete at[key]
    else if (how < 0.25) at[`${key}x`] = inner
    else if (how < 0.3)
      Object.defineProperty(at, '__proto__', { value: inner, enumerable: true, configurable: true })
    else at[key] = pick(random, ODD_VALUES)
    return copy
  }
}

/** A backup that somebody's disk, editor or script has ruined, and the entries in it that were left alone. */
export interface MutantBackup {
  readonly mutant: string
  /** Those that must come back. */
  readonly untouched: readonly EntryId[]
}

/**
 * Ruined backups of a log, the same for the same seed: single fields made odd, lines doubled, lost, cut, swapped or
 * garbled. The head is left whole: a file without one is no backup.
 */
export function* mutantBackups(
  entries: readonly Entry[],
  count: number,
  seed: number,
): Generator<MutantBackup> {
  const random = seededRandom(seed)
  const text = writeBackup(entries, '2026-02-01T12:00:00.000Z')
  for (let n = 0; n < count; n++) {
    const lines = text.split('\n')
    const line = 1 + Math.floor(random.between(0, entries.length))
    const entry = entries[line - 1]
    const others = entries.flatMap(({ id }) => (id === entry?.id ? [] : [id]))
    const how = Math.floor(random.between(0, 6))
    if (how <= 2 && entry) {
      const last = (lines[line] ?? '').endsWith(',') ? ',' : ''
      lines[line] = JSON.stringify(oddEntry(entry, random)) + last
    } else if (how === 3) lines.splice(line, 0, `${(lines[line] ?? '').replace(/,$/, '')},`)
    else if (how === 4) lines[line] = (lines[line] ?? '').slice(0, Math.floor(random.between(0, 60)))
    else {
      const held = lines[line] ?? ''
      const at = Math.floor(random.between(0, held.length))
      lines[line] =
        held.slice(0, at) + String.fromCharCode(Math.floor(random.between(1, 700))) + held.slice(at + 1)
    }
    yield { mutant: lines.join('\n'), untouched: others }
  }
}

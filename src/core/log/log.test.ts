import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, noon, ride, ruleReading, written } from '../../../test/log.ts'
import { ENTRY_FORMAT } from './entry.ts'
import type { Entry, EntryDraft } from './entries.ts'
import { entryIdTime, makeEntryId } from './entry-id.ts'
import { fittedChain, fittedParts, openFitting } from './garage.ts'
import { mergeLogs } from './merge.ts'
import { replay } from './replay.ts'
import { linesOf, liveEntries } from './supersede.ts'

const story: readonly EntryDraft[] = [
  ...commuter,
  ...Array.from({ length: 12 }, (_, i) => ride(1 + Math.floor(i / 4), 2 + 2 * (i % 4), 10 + i)),
  ruleReading(2, 1, 305.5),
  ruleReading(3, 1, 306),
  {
    kind: 'part',
    at: noon(3, 2),
    part: 'chain-2',
    name: 'Chain 2',
    spec: { type: 'chain', links: 116, speeds: 11, past: 'new' },
  },
  { kind: 'fit', at: noon(3, 2), part: 'chain-2', bike: 'heron' },
  { kind: 'wash', at: noon(3, 2), chain: 'chain-2', method: 'none', lube: 'wet-lube' },
  { kind: 'look', at: noon(3, 3), part: 'cassette', cog: 13, word: 'watch' },
  { kind: 'limit', at: noon(3, 3), bike: 'heron', school: 'late' },
]
const log = written(story)
const NOW = Date.UTC(2028, 0, 1)

/** Logs with corrections: some entries of the story superseded or withdrawn by later ones, chains of them too. */
const logs = fc
  .array(fc.record({ target: fc.nat(200), withdraw: fc.boolean(), km: fc.integer({ min: 1, max: 99 }) }), {
    maxLength: 8,
  })
  .map((changes) => {
    const entries: Entry[] = [...log]
    for (const { target, withdraw, km } of changes) {
      const hit = entries[target % entries.length]
      if (!hit) continue
      const id = makeEntryId(
        Date.UTC(2026, 6, 1) + entries.length,
        0,
        new Uint8Array(16).fill(entries.length),
      )
      entries.push(
        withdraw
          ? { kind: 'withdraw', format: ENTRY_FORMAT, id, at: noon(7, 1), targets: [hit.id] }
          : {
              kind: 'ride',
              format: ENTRY_FORMAT,
              id,
              at: noon(2, 14),
              bike: 'heron',
              km,
              condition: 'mud',
              supersedes: hit.id,
            },
      )
    }
    return entries
  })

describe('replay', () => {
  test('the order in which entries arrive does not matter', () => {
    fc.assert(
      fc.property(
        logs.chain((entries) =>
          fc.tuple(fc.constant(entries), fc.shuffledSubarray(entries, { minLength: entries.length })),
        ),
        ([entries, shuffled]) => {
          expect(replay(shuffled)).toEqual(replay(entries))
        },
      ),
      { numRuns: 60 },
    )
  })

  test('an entry that is superseded has no effect at all', () => {
    fc.assert(
      fc.property(logs, (entries) => {
        // The definition, word by word: alive is what is not withdrawn, and of all that one entry was corrected
        // to, the newest; a withdrawal that is itself withdrawn takes nothing back.
        const isWithdrawn = (entry: Entry): boolean =>
          entries.some(
            (other) =>
              other.kind === 'withdraw' &&
              other.id > entry.id &&
              other.targets.includes(entry.id) &&
              !isWithdrawn(other),
          )
        const first = (entry: Entry): Entry => {
          const before = entries.find(({ id }) => id === entry.supersedes)
          return before ? first(before) : entry
        }
        const isAlive = (entry: Entry): boolean =>
          !isWithdrawn(entry) &&
          !entries.some(
            (other) => other.id > entry.id && first(other) === first(entry) && !isWithdrawn(other),
          )
        const alive = entries.filter(isAlive)
        expect(liveEntries(entries)).toEqual(alive.filter(({ kind }) => kind !== 'withdraw'))
        expect(replay(alive)).toEqual(replay(entries))
      }),
      { numRuns: 60 },
    )
  })

  test('a corrected ride counts with its new distance and its old one is gone', () => {
    const wrong = log.find((entry) => entry.kind === 'ride' && entry.km === 12)
    if (wrong?.kind !== 'ride') throw new Error('the story has lost its ride')
    const right: Entry = {
      ...wrong,
      id: makeEntryId(Date.UTC(2027, 0, 1), 0, new Uint8Array(16)),
      km: 112,
      supersedes: wrong.id,
    }
    const distances = replay([...log, right])
      .bikes.get('heron')
      ?.rides.map(({ km }) => km)
    expect(distances).toContain(112)
    expect(distances).not.toContain(12)
    expect(distances).toHaveLength(12)
  })

  test('a correction of a correction stands alone, and undo goes back one step at a time', () => {
    const wrong = log.find((entry) => entry.kind === 'ride' && entry.km === 12)
    if (wrong?.kind !== 'ride') throw new Error('the story has lost its ride')
    const later = (n: number): string => makeEntryId(Date.UTC(2027, 0, n), 0, new Uint8Array(16))
    const once: Entry = { ...wrong, id: later(1), km: 112, supersedes: wrong.id }
    const twice: Entry = { ...wrong, id: later(2), km: 212, supersedes: once.id }
    // Made on another device, which had not heard of the first correction.
    const elsewhere: Entry = { ...wrong, id: later(3), km: 312, supersedes: wrong.id }
    const back = (n: number, ...targets: string[]): Entry => ({
      kind: 'withdraw',
      format: ENTRY_FORMAT,
      id: later(n),
      at: noon(8, n),
      targets,
    })
    const counted = (...more: Entry[]): number[] =>
      liveEntries([...log, ...more]).flatMap((entry) =>
        entry.kind === 'ride' && (entry.km === 12 || entry.km > 100) ? [entry.km] : [],
      )
    expect(counted(once, twice)).toEqual([212])
    expect(counted(once, twice, elsewhere)).toEqual([312])
    expect(counted(once, twice, back(4, twice.id))).toEqual([112])
    expect(counted(once, twice, back(4, twice.id), back(5, once.id))).toEqual([12])
    expect(counted(once, twice, back(4, once.id))).toEqual([212])
    const line = linesOf([...log, once, twice], [twice.id])
    expect(line).toEqual([wrong.id, once.id, twice.id])
    expect(counted(once, twice, back(4, ...line))).toEqual([])
  })

  test('an undone withdrawal puts the entry back', () => {
    const target = log.find((entry) => entry.kind === 'reading')
    if (!target) throw new Error('the story has lost its reading')
    const later = (n: number): string => makeEntryId(Date.UTC(2027, 0, n), 0, new Uint8Array(16))
    const out: Entry = {
      kind: 'withdraw',
      format: ENTRY_FORMAT,
      id: later(1),
      at: noon(4, 1),
      targets: [target.id],
    }
    const back: Entry = {
      kind: 'withdraw',
      format: ENTRY_FORMAT,
      id: later(2),
      at: noon(4, 2),
      targets: [out.id],
    }
    expect(replay([...log, out]).readings.get('chain')).toHaveLength(1)
    expect(replay([...log, out, back])).toEqual(replay(log))
  })

  test('nothing can take back what was written after it', () => {
    const [first, second] = written([ride(1, 2, 10), ride(1, 3, 20)])
    if (!first || !second) throw new Error('two rides are needed')
    const early: Entry = { ...first, supersedes: second.id }
    expect(liveEntries([early, second])).toEqual([early, second])
  })

  test('a chain fitted over another closes it: a bike carries one chain', () => {
    const garage = replay(log)
    expect(fittedChain(garage, 'heron')?.entry.part).toBe('chain-2')
    expect(garage.parts.get('chain')?.fittings).toMatchObject([
      { part: 'chain', bike: 'heron', from: noon(1, 1), to: noon(3, 2) },
    ])
  })

  test('two rings stay on side by side', () => {
    const drafts: EntryDraft[] = [34, 50].flatMap((teeth): EntryDraft[] => [
      {
        kind: 'part',
        at: noon(1, 1),
        part: `r${teeth}`,
        name: 'Ring',
        spec: { type: 'ring', teeth, material: 'steel' },
      },
      { kind: 'fit', at: noon(1, 1), part: `r${teeth}`, bike: 'plover' },
    ])
    expect(fittedParts(replay(written(drafts)), 'plover', 'ring')).toHaveLength(2)
  })

  test('a part moved to another bike leaves the first', () => {
    const garage = replay([
      ...log,
      ...written([{ kind: 'fit', at: noon(5, 1), part: 'ring', bike: 'kite' }], Date.UTC(2027, 0, 1)),
    ])
    const ring = garage.parts.get('ring')
    expect(ring && openFitting(ring)?.bike).toBe('kite')
    expect(ring?.fittings[0]?.to).toBe(noon(5, 1))
  })

  test('a retired part that is fitted again is no longer retired', () => {
    const off = written(
      [{ kind: 'remove', at: noon(5, 1), part: 'ring', to: 'retired' }],
      Date.UTC(2027, 0, 1),
    )
    const on = written([{ kind: 'fit', at: noon(5, 2), part: 'ring', bike: 'heron' }], Date.UTC(2027, 0, 2))
    expect(replay([...log, ...off]).parts.get('ring')?.retired).toBe(true)
    expect(replay([...log, ...off, ...on]).parts.get('ring')?.retired).toBe(false)
  })

  test('the last word on leaving a reading out counts', () => {
    const [reading] = log.filter((entry) => entry.kind === 'reading')
    const use = (value: boolean, n: number): Entry[] =>
      written(
        [{ kind: 'reading-use', at: noon(6, 1), target: reading?.id ?? '', counts: value }],
        Date.UTC(2027, 0, n),
      )
    const used = (entries: Entry[]) => replay(entries).readings.get('chain')?.[0]?.used
    expect(used([...log, ...use(false, 1)])).toBe(false)
    expect(used([...log, ...use(true, 2), ...use(false, 1)])).toBe(true)
  })
})

describe('merging', () => {
  const union = (a: readonly Entry[], b: readonly Entry[]): Entry[] => [...a, ...mergeLogs(a, b, NOW).added]
  const asSet = (entries: readonly Entry[]): Entry[] => [...entries].sort((a, b) => (a.id < b.id ? -1 : 1))
  const pieces = fc.tuple(fc.subarray(log), fc.subarray(log), fc.subarray(log))

  test('the union of two copies is idempotent and commutative, and associative', () => {
    fc.assert(
      fc.property(pieces, ([a, b, c]) => {
        expect(union(a, a)).toEqual(a)
        expect(asSet(union(a, b))).toEqual(asSet(union(b, a)))
        expect(asSet(union(union(a, b), c))).toEqual(asSet(union(a, union(b, c))))
      }),
    )
  })

  test('says what was new and what was known', () => {
    const merge = mergeLogs(log.slice(0, 10), log.slice(4), NOW)
    expect(merge.known).toBe(6)
    expect(merge.added).toEqual(log.slice(10))
    expect(merge.differing).toEqual([])
  })

  test('the order of fields makes no difference, their contents do', () => {
    const [entry] = log
    if (!entry) throw new Error('an entry is needed')
    const turned = Object.fromEntries(Object.entries(entry).reverse()) as unknown as Entry
    expect(mergeLogs([entry], [turned], NOW).known).toBe(1)
    const other = { ...entry, at: noon(9, 9) }
    expect(mergeLogs([entry], [other], NOW).differing).toEqual([other])
  })
})

describe('ids', () => {
  test('sort in the order of writing and give back their time', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2 ** 47 }),
        fc.integer({ min: 0, max: 2 ** 30 }),
        fc.uint8Array({ minLength: 16, maxLength: 16 }),
        fc.uint8Array({ minLength: 16, maxLength: 16 }),
        (ms, seq, one, other) => {
          const id = makeEntryId(ms, seq, one)
          expect(entryIdTime(id)).toBe(ms)
          expect(makeEntryId(ms, seq + 1, other) > id).toBe(true)
          expect(makeEntryId(ms + 1, 0, other) > id).toBe(true)
        },
      ),
    )
  })

  test('of two devices at the same moment differ', () => {
    expect(makeEntryId(5, 0, new Uint8Array(16).fill(1))).not.toBe(
      makeEntryId(5, 0, new Uint8Array(16).fill(2)),
    )
  })
})

test('forty thousand corrections in a row are gone through once: the last one stands', () => {
  let before: Entry = written([ride(3, 1, 1)])[0] as Entry
  const line = [before]
  for (const entry of written(
    Array.from({ length: 40_000 }, () => ride(3, 1, 2)),
    Date.UTC(2026, 1, 1),
  )) {
    before = { ...entry, supersedes: before.id }
    line.push(before)
  }
  expect(liveEntries(line)).toEqual([before])
  expect(linesOf(line, [before.id])).toHaveLength(line.length)
})

import { describe, expect, test } from '@jest/globals'
import { commuter, noon, written } from '../../../test/log.ts'
import { demoWorld } from '../../../demo/world.ts'
import { conflictsIn, otherSides } from './conflicts.ts'
import type { Entry, EntryDraft } from './entries.ts'
import { fittedChain } from './garage.ts'
import { replay } from './replay.ts'

const start = written(commuter)
let next = 0
/** What one device writes in one go: later ids, one action. */
function act(by: string | undefined, drafts: readonly EntryDraft[]): readonly Entry[] {
  const all = written([
    ...commuter,
    ...Array.from({ length: next }, () => drafts[0] as EntryDraft),
    ...drafts,
  ])
  const mine = all.slice(-drafts.length)
  next += drafts.length
  const action = mine[0]?.id ?? ''
  return mine.map((entry) => ({ ...entry, action, ...(by !== undefined && { writtenBy: by }) }))
}
const newChain = (part: string, at: string): EntryDraft[] => [
  { kind: 'remove', at, part: 'chain', to: 'retired' },
  {
    kind: 'part',
    at,
    part,
    name: `Chain ${part}`,
    spec: { type: 'chain', links: 114, speeds: 11, past: 'new' },
  },
  { kind: 'fit', at, part, bike: 'heron' },
]

describe('two swaps of one chain on one day', () => {
  const ada = act('Ada', newChain('b', noon(3, 10)))
  const bo = act('Bo', newChain('c', '2026-03-10T15:00:00.000Z'))
  const merged = [...start, ...ada, ...bo]

  test('are a question, whichever device merges', () => {
    for (const log of [merged, [...bo, ...start, ...ada]]) {
      const [conflict] = conflictsIn(log)
      expect(conflict).toMatchObject({ about: 'swap', bike: 'heron', off: 'chain' })
      expect(conflict?.sides.map(({ writtenBy }) => writtenBy).sort()).toEqual(['Ada', 'Bo'])
    }
  })

  test('one that is right takes the whole of the other out', () => {
    const [conflict] = conflictsIn(merged)
    if (!conflict) throw new Error('no conflict')
    const keep = conflict.sides.find(({ writtenBy }) => writtenBy === 'Ada')?.id ?? ''
    const out = act(undefined, [
      { kind: 'withdraw', at: noon(3, 11), targets: [...otherSides(merged, conflict, keep)] },
    ])
    const after = [...merged, ...out]
    expect(conflictsIn(after)).toEqual([])
    expect(fittedChain(replay(after), 'heron')?.entry.part).toBe('b')
    expect(replay(after).parts.has('c')).toBe(false)
  })

  test('both, when somebody says so, are not asked about again', () => {
    const [conflict] = conflictsIn(merged)
    const said = act(undefined, [
      { kind: 'settled', at: noon(3, 11), targets: conflict?.sides.map(({ id }) => id) ?? [] },
    ])
    expect(conflictsIn([...merged, ...said])).toEqual([])
  })

  test('one after the other, or days apart, or with the chain put back between, are none', () => {
    const second: EntryDraft[] = newChain('d', '2026-03-10T15:00:00.000Z').map((draft) =>
      draft.kind === 'remove' ? { ...draft, part: 'b' } : draft,
    )
    expect(conflictsIn([...start, ...ada, ...act('Bo', second)])).toEqual([])
    expect(conflictsIn([...start, ...ada, ...act('Bo', newChain('e', noon(3, 20)))])).toEqual([])
    const back = act('Ada', [{ kind: 'fit', at: '2026-03-10T13:00:00.000Z', part: 'chain', bike: 'heron' }])
    expect(conflictsIn([...merged, ...back])).toEqual([])
  })
})

test('one part on two bikes by two people is a question; by one person it was moved', () => {
  const tern: EntryDraft = {
    kind: 'bike',
    at: noon(1, 1),
    bike: 'tern',
    name: 'Tern',
    note: '',
    speeds: 11,
    shifting: 'cable',
    motor: 'none',
    usualCondition: 'dry-road',
    storage: 'indoors',
  }
  const log = [...start, ...act('Ada', [tern])]
  const one = act('Ada', [{ kind: 'fit', at: noon(3, 10), part: 'cassette', bike: 'tern' }])
  const other = act('Bo', [{ kind: 'fit', at: '2026-03-10T14:00:00.000Z', part: 'cassette', bike: 'heron' }])
  expect(conflictsIn([...log, ...one, ...other])).toMatchObject([{ about: 'part', part: 'cassette' }])
  const same = other.map((entry) => ({ ...entry, writtenBy: 'Ada' }))
  expect(conflictsIn([...log, ...one, ...same])).toEqual([])
})

test('one entry corrected in two ways is a question until one way is taken out', () => {
  const reading = act('Ada', [
    {
      kind: 'reading',
      at: noon(3, 1),
      chain: 'chain',
      reading: { instrument: 'rule', pitches: 24, lengthMm: 305 },
    },
  ])
  const corrected = (by: string, lengthMm: number) =>
    act(by, [
      {
        kind: 'reading',
        at: noon(3, 1),
        chain: 'chain',
        reading: { instrument: 'rule', pitches: 24, lengthMm },
        supersedes: reading[0]?.id ?? '',
      },
    ])
  const [a, b] = [corrected('Ada', 305.5), corrected('Bo', 306)]
  const log = [...start, ...reading, ...a, ...b]
  const [conflict] = conflictsIn(log)
  expect(conflict?.about).toBe('correction')
  if (!conflict) return
  const out = act(undefined, [
    { kind: 'withdraw', at: noon(3, 2), targets: [...otherSides(log, conflict, a[0]?.id ?? '')] },
  ])
  expect(conflictsIn([...log, ...out])).toEqual([])
})

test('the demo garage contradicts itself nowhere', () => {
  expect(conflictsIn(demoWorld('2026-11-26'))).toEqual([])
})

import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import type { Entry } from './entries.ts'
import { logAfter, mergeLogs } from './merge.ts'
import { recordOf } from './one-bike.ts'
import { replay } from './replay.ts'
import { kindName } from '../../words/kind-names.ts'
import { writtenAs } from './written-as.ts'

const NOW = Date.UTC(2027, 0, 1)
const told = written([
  ...commuter,
  ride(2, 1, 40, {
    place: { lat: 53.3, lon: -6.2 },
    route: 'quay',
    source: { file: 'a.gpx', fingerprint: 'p' },
  }),
  { kind: 'remove', at: noon(3, 1), part: 'chain', to: 'lent', lentTo: 'Bo' },
])
const merged = (ours: readonly Entry[], theirs: readonly Entry[]) => {
  const merge = mergeLogs(ours, theirs, NOW)
  return { ...merge, log: logAfter(ours, merge) }
}
const rideIn = (log: readonly Entry[]) => log.find(({ kind }) => kind === 'ride') as Entry
const last = told.at(-2) as Entry

describe('a record without names and places that came first', () => {
  const record = recordOf(told, replay(told), { bike: 'heron' }, { people: true, money: true }, kindName)

  test('is filled up by the backup it was made of, and asks nothing', () => {
    expect(rideIn(record)).toMatchObject({ abridged: true, km: 40 })
    const { log, differing } = merged(record, told)
    expect(differing).toEqual([])
    expect([...log].sort((a, b) => (a.id < b.id ? -1 : 1))).toEqual(told)
  })

  test('takes nothing from a log that has the whole', () => {
    expect(merged(told, record)).toMatchObject({ added: [], replaced: [], differing: [] })
  })

  test('two records of one entry make the fuller one of both', () => {
    const { place: _place, ...placeless } = last as Extract<Entry, { kind: 'ride' }>
    const { route: _route, ...routeless } = last as Extract<Entry, { kind: 'ride' }>
    const [one, other] = [
      { ...placeless, abridged: true as const },
      { ...routeless, abridged: true as const },
    ]
    for (const [first, second] of [
      [one, other],
      [other, one],
    ] as const) {
      const { log, differing } = merged([first], [second])
      expect(differing).toEqual([])
      expect(log).toEqual([{ ...last, abridged: true, altered: [] }])
    }
  })
})

describe('a shortened entry that says something else than the whole', () => {
  const lie = { ...last, km: 999, abridged: true } as Entry

  test('never takes its place, and is kept aside', () => {
    const { log, differing } = merged(told, [lie])
    expect(rideIn(log)).toMatchObject({ km: 40 })
    expect(differing).toEqual([lie])
  })

  test('gives its place up where it came first, and is kept aside', () => {
    const { log, differing } = merged([...told.slice(0, -2), lie], told)
    expect(rideIn(log)).toEqual(last)
    expect(differing).toEqual([lie])
  })

  test('is no contradiction in a field that it says was changed', () => {
    expect(merged(told, [{ ...lie, altered: ['km'] }])).toMatchObject({ known: 1, differing: [] })
  })
})

test('what proves to be the original stands before another whole of the same id', () => {
  const [original] = writtenAs([ride(4, 1, 40)], undefined, Date.UTC(2026, 3, 1))
  const forged = { ...original, km: 999 } as Entry
  const { log, differing } = merged([forged], [original as Entry])
  expect(log).toEqual([original])
  expect(differing).toEqual([forged])
})

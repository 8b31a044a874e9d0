import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../../../test/log.ts'
import { mergeLogs } from '../../log/merge.ts'
import type { EntryDraft } from '../../log/entries.ts'
import type { ItemId } from '../../checks/items.ts'
import type { CheckEntry } from '../../log/kinds/check.ts'
import { replay } from '../../log/replay.ts'
import { lastRound, openRounds } from './rounds.ts'

const ITEMS: readonly ItemId[] = ['axle-rear', 'brake-rear', 'frame', 'brake-front', 'axle-front']
const round = (
  id: string,
  day: number,
  more: { items?: readonly ItemId[]; isEnded?: true; began?: number } = {},
): EntryDraft => ({
  kind: 'round',
  at: noon(3, day),
  round: id,
  bike: 'heron',
  occasion: 'monthly',
  began: noon(3, more.began ?? day),
  items: more.items ?? ITEMS,
  ...(more.isEnded && { isEnded: true }),
})
const check = (item: ItemId, day: number, result: CheckEntry['result'] = 'pass'): EntryDraft => ({
  kind: 'check',
  at: noon(3, day),
  bike: 'heron',
  item,
  result,
})
const garageOf = (...drafts: readonly EntryDraft[]) =>
  replay(written([...commuter, ride(1, 5, 30), ...drafts]))

describe('a round', () => {
  test('left half done waits, with what is left in its order', () => {
    const [state, ...others] = openRounds(
      garageOf(check('frame', 1), round('a', 5), check('axle-rear', 5), check('frame', 6, 'watch')),
      'heron',
      noon(3, 8),
    )
    expect(others).toEqual([])
    expect(state?.left).toEqual(['brake-rear', 'brake-front', 'axle-front'])
    expect(state?.done.get('frame')?.result).toBe('watch')
    expect(state?.isOver).toBe(false)
  })

  test('is over when all of it was looked at, or when it was ended', () => {
    const done = ITEMS.map((item) => check(item, 6))
    expect(openRounds(garageOf(round('a', 5), ...done), 'heron', noon(3, 8))).toEqual([])
    expect(
      openRounds(garageOf(round('a', 5), round('a', 6, { isEnded: true, began: 5 })), 'heron', noon(3, 8)),
    ).toEqual([])
  })

  test('what was looked at before it began is looked at again', () => {
    expect(openRounds(garageOf(check('frame', 4), round('a', 5)), 'heron', noon(3, 8))[0]?.done.size).toBe(0)
  })

  test('waits for two weeks: after that all of it is looked at again', () => {
    const garage = garageOf(round('a', 5), check('axle-rear', 5))
    expect(openRounds(garage, 'heron', noon(3, 18))).toHaveLength(1)
    expect(openRounds(garage, 'heron', noon(3, 20))).toEqual([])
  })

  test('begun on two devices it is one round, and nothing that either found is lost', () => {
    const base = written([...commuter, ride(1, 5, 30)])
    const here = written([round('a', 5), check('axle-rear', 5), check('brake-rear', 5)], Date.UTC(2026, 5, 1))
    const there = written(
      [
        round('b', 6, { items: [...ITEMS, 'fork'] }),
        check('frame', 6, 'fail'),
        check('axle-rear', 6, 'watch'),
      ],
      Date.UTC(2026, 5, 2),
    )
    const both = mergeLogs([...base, ...here], [...base, ...there], Date.UTC(2026, 6, 1))
    const [state, ...others] = openRounds(replay([...base, ...here, ...both.added]), 'heron', noon(3, 8))
    expect(others).toEqual([])
    expect(state?.began).toBe(noon(3, 5))
    expect(state?.items).toEqual([...ITEMS, 'fork'])
    expect([...(state?.done ?? [])].map(([item, { result }]) => [item, result])).toEqual([
      ['axle-rear', 'watch'],
      ['brake-rear', 'pass'],
      ['frame', 'fail'],
    ])
    expect(state?.left).toEqual(['brake-front', 'axle-front', 'fork'])
  })

  test('counts as gone through when most of it was, on the day of its last look', () => {
    const of = (items: readonly ItemId[]) =>
      lastRound(garageOf(round('a', 5), ...items.map((item) => check(item, 7))), 'heron', ['monthly'])
    expect(of(ITEMS.slice(0, 4))).toBe(noon(3, 7))
    expect(of(ITEMS.slice(0, 3))).toBeUndefined()
    expect(lastRound(garageOf(), 'heron', ['monthly'])).toBeUndefined()
  })
})

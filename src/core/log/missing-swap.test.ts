import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, ruleReading, written } from '../../../test/log.ts'
import { chainFacts } from '../strategy/facts/chain-facts.ts'
import type { EntryDraft } from './entries.ts'
import { fittedChain } from './garage.ts'
import { missingSwap } from './missing-swap.ts'
import { replay } from './replay.ts'

const wash = (month: number, day: number): EntryDraft => ({
  kind: 'wash',
  at: noon(month, day),
  chain: 'chain',
  method: 'wipe',
  lube: 'wet-lube',
})
const log: readonly EntryDraft[] = [
  ...commuter,
  ride(1, 10, 800),
  ruleReading(1, 20, 306),
  wash(1, 21),
  ride(2, 10, 500),
  ruleReading(2, 20, 305),
  wash(2, 21),
]
const before = written(log)
const garage = replay(before)

describe('a swap that was never logged', () => {
  const drafts = missingSwap(garage, 'chain', noon(2, 1), 'fresh') ?? []
  const then = replay([...before, ...written(drafts, Date.UTC(2026, 5, 1))])

  test('puts a fresh chain on from its day, and the rides since on it', () => {
    expect(fittedChain(then, 'heron')?.entry).toMatchObject({ part: 'fresh', name: 'Chain 2' })
    expect(chainFacts(then, 'chain')?.story.km).toBe(800)
    expect(chainFacts(then, 'fresh')?.story.km).toBe(500)
    expect(chainFacts(then, 'fresh')?.spec).toMatchObject({ links: 116, speeds: 11, past: 'new' })
  })

  test('gives the fresh chain what was read of it and put on it since, and leaves the old one the rest', () => {
    const days = (chain: string) => [
      then.readings.get(chain)?.map(({ entry }) => entry.at.slice(0, 10)),
      then.washes.get(chain)?.map(({ at }) => at.slice(0, 10)),
    ]
    expect(days('chain')).toEqual([['2026-01-20'], ['2026-01-21']])
    expect(days('fresh')).toEqual([['2026-02-20'], ['2026-02-21']])
  })

  test('cannot be before the chain went on, nor of one that is on no bike', () => {
    expect(missingSwap(garage, 'chain', noon(1, 1), 'fresh')).toBeUndefined()
    expect(missingSwap(garage, 'ring', noon(2, 1), 'fresh')).toBeUndefined()
    const off = replay(written([...log, { kind: 'remove', at: noon(3, 1), part: 'chain', to: 'shelf' }]))
    expect(missingSwap(off, 'chain', noon(2, 1), 'fresh')).toBeUndefined()
  })
})

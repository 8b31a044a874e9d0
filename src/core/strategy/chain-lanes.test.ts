import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { chainLanes, takeTurns, type ChainTurns } from './chain-lanes.ts'

/** Chains that take turns of so many km each, in rounds. */
const rotation = (chains: number, rounds: number, each: number, start = 0, first = 0): ChainTurns[] =>
  Array.from({ length: chains }, (_, c) => ({
    chain: first + c,
    turns: Array.from({ length: rounds }, (_, r) => {
      const from = start + (r * chains + c) * each
      return { from, to: from + each }
    }),
  }))

describe('chains that take turns', () => {
  test('are told from chains that follow one another', () => {
    expect(takeTurns(rotation(3, 4, 300))).toBe(true)
    expect(takeTurns(rotation(4, 1, 1500))).toBe(false)
    expect(takeTurns(rotation(1, 9, 100))).toBe(false)
    expect(takeTurns([])).toBe(false)
  })

  test('lie on a lane each, and a fresh one goes on in the lane of the one it replaces', () => {
    const lanes = chainLanes([...rotation(3, 4, 300), ...rotation(3, 3, 300, 3600, 3)])
    expect(lanes.map((lane) => lane.map(({ chain }) => chain))).toEqual([
      [0, 5],
      [1, 4],
      [2, 3],
    ])
  })

  test('whatever their turns, no two chains of a lane are in use at once and none is lost', () => {
    const turns = fc
      .array(fc.integer({ min: 0, max: 1000 }), { minLength: 1, maxLength: 12 })
      .map((cuts) => [...new Set(cuts)].sort((a, b) => a - b))
      .map((cuts) => cuts.map((from) => ({ from, to: from + 0.5 })))
    fc.assert(
      fc.property(fc.array(turns, { maxLength: 8 }), (all) => {
        const lanes = chainLanes(all.map((one, chain) => ({ chain, turns: one })))
        expect(
          lanes
            .flat()
            .map(({ chain }) => chain)
            .sort(),
        ).toEqual(all.map((_, i) => i).sort())
        for (const lane of lanes)
          lane.forEach((one, i) => {
            const before = lane[i - 1]?.turns.at(-1)
            expect(one.turns[0]?.from).toBeGreaterThanOrEqual((before?.to ?? 0) - 1e-9)
          })
      }),
    )
  })
})

import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ruleReading, written } from '../../../../test/log.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { replay } from '../../log/replay.ts'
import type { Reading } from '../../measure/reading.ts'
import { chainFacts } from './chain-facts.ts'
import { isUntestedAlone, looksOf, placedReading, toolBiases } from './chain-evidence.ts'

const tool = (
  id: string,
  instrument: 'two-contact-scale' | 'three-contact-scale',
  retired = false,
): EntryDraft => ({
  kind: 'tool',
  at: noon(1, 1),
  tool: id,
  instrument,
  name: id,
  retired,
})
const scale = (id: string, chain: string, month: number, day: number, percent: number): EntryDraft => ({
  kind: 'reading',
  at: noon(month, day),
  chain,
  tool: id,
  reading: { instrument: id === 'cheap' ? 'two-contact-scale' : 'three-contact-scale', percent } as Reading,
})
const tools = [tool('cheap', 'two-contact-scale'), tool('fine', 'three-contact-scale')]

describe('looks', () => {
  test('are the readings of one sitting, and leave out what was left out', () => {
    const entries = written([
      ...commuter,
      ruleReading(2, 1, 305),
      ruleReading(2, 1, 305.5),
      ruleReading(3, 1, 306),
    ])
    const out = written(
      [{ kind: 'reading-use', at: noon(3, 2), target: entries.at(-2)?.id ?? '', counts: false }],
      Date.UTC(2027, 0, 1),
    )
    const sizes = (log: typeof entries) =>
      looksOf(replay(log).readings.get('chain') ?? []).map((look) => look.length)
    expect(sizes(entries)).toEqual([2, 1])
    expect(sizes([...entries, ...out])).toEqual([1, 1])
  })

  test('of a chain never read are none', () => {
    expect(looksOf([])).toEqual([])
  })
})

describe('one tool alone', () => {
  const judged = (drafts: readonly EntryDraft[]) => {
    const garage = replay(written([...commuter, ...tools, ...drafts]))
    return isUntestedAlone(garage.readings.get('chain') ?? [], toolBiases(garage, new Set(['chain'])))
  }
  const cheap = scale('cheap', 'chain', 2, 1, 0.5)

  test('is unchecked until another tool, a new chain or a second tool elsewhere has checked it', () => {
    expect(judged([])).toBe(false)
    expect(judged([cheap])).toBe(true)
    expect(judged([cheap, scale('fine', 'chain', 3, 1, 0.4)])).toBe(false)
    expect(
      judged([
        cheap,
        {
          kind: 'zeroing',
          at: noon(1, 2),
          tool: 'cheap',
          reading: { instrument: 'two-contact-scale', percent: 0.1 },
        },
      ]),
    ).toBe(false)
  })
})

test('a look that was said to be right is sure, and no other', () => {
  const log = [...commuter, ruleReading(2, 1, 305), ruleReading(3, 1, 309), ruleReading(4, 1, 306)]
  const answer: EntryDraft = { kind: 'look-answer', at: noon(4, 2), chain: 'chain', until: noon(3, 1) }
  const sure = (drafts: readonly EntryDraft[]) => {
    const facts = chainFacts(replay(written(drafts)), 'chain')
    return facts?.used.map(({ entry }) => facts.sure.has(entry.id))
  }
  expect(sure(log)).toEqual([false, false, false])
  expect(sure([...log, answer])).toEqual([false, true, false])
})

describe('tools’ biases from the log', () => {
  const meetings = [2, 3, 4].flatMap((month) => [
    scale('cheap', 'chain', month, 1, 0.3 * month + 0.25),
    scale('fine', 'chain', month, 1, 0.3 * month),
  ])

  test('are learned where two tools met on a chain, but not for judging that chain itself', () => {
    const garage = replay(written([...commuter, ...tools, ...meetings]))
    const elsewhere = toolBiases(garage, new Set(['another chain'])).get('cheap')
    expect(elsewhere).toMatchObject({ meetings: 3, zeroings: 0 })
    expect(elsewhere?.b).toBeGreaterThan(0.15)
    expect(toolBiases(garage, new Set(['chain'])).get('cheap')).toEqual({
      b: 0.1,
      sb: 0.06,
      zeroings: 0,
      meetings: 0,
    })
  })

  test('travel with each reading of the tool', () => {
    const garage = replay(written([...commuter, ...tools, ...meetings]))
    const [state] = garage.readings.get('chain') ?? []
    if (!state) throw new Error('the log has lost its reading')
    const biases = toolBiases(garage)
    expect(placedReading(state, biases)).toMatchObject({ tool: 'cheap', bias: { b: biases.get('cheap')?.b } })
  })

  test('are none where no tool has a name', () => {
    expect(toolBiases(replay(written(commuter))).size).toBe(0)
  })
})

import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../../../test/log.ts'
import { measuredAt, reportOn } from '../../../../test/judged.ts'
import type { EntryDraft } from '../../log/entries.ts'
import type { Instrument } from '../../measure/reading.ts'
import { replay } from '../../log/replay.ts'
import { densityOf, summariseDensity } from '../../measure/posterior.ts'
import { teethAsk } from '../teeth-ask.ts'
import { ownEyeOf, ownReadings, schoolUse } from './school-facts.ts'
import { toolBiases } from './chain-evidence.ts'

const lessons = (instrument: Instrument, high: number, count = 20): EntryDraft[] =>
  Array.from({ length: count }, (_, i) => ({
    kind: 'lesson',
    at: noon(2, 1 + (i % 20)),
    answer: {
      about: 'gauge',
      instrument,
      truth: 0.3 + 0.02 * i,
      right: 0.3 + 0.02 * i,
      read: 0.3 + 0.02 * i + high + (i % 2 === 0 ? 0.01 : -0.01),
      slips: [],
    },
  }))
const USE: EntryDraft = { kind: 'school-use', at: noon(2, 28), readings: true, looks: true }
const READ: EntryDraft = {
  kind: 'reading',
  at: noon(3, 30),
  chain: 'chain',
  reading: { instrument: 'three-contact-scale', percent: 0.55 },
}
const LOG = [...commuter, ride(1, 5, 900)]
/** What is believed of the chain from the log's readings alone. */
const believed = (...drafts: readonly EntryDraft[]): number => {
  const { chain } = reportOn([...LOG, ...drafts])
  return summariseDensity(densityOf(chain?.look ?? []), [0.5]).mean
}

describe('what lessons measured', () => {
  test('moves a rider’s readings only where they said so', () => {
    const high = lessons('three-contact-scale', 0.05)
    expect(believed(READ, ...high)).toBeCloseTo(believed(READ), 9)
    expect(believed(READ, ...high, USE)).toBeCloseTo(0.5, 1)
    expect(believed(READ, ...high, USE)).toBeLessThan(believed(READ) - 0.035)
    expect(
      believed(READ, ...high, USE, { kind: 'school-use', at: noon(3, 1), readings: false, looks: false }),
    ).toBeCloseTo(believed(READ), 9)
  })

  test('says nothing of other instruments, and nothing from two lessons', () => {
    const garage = replay(written([...LOG, ...lessons('rule', 0.1), ...lessons('strip', 0.1, 2), USE]))
    expect([...ownReadings(garage).keys()]).toEqual(['rule'])
    expect(believed(READ, ...lessons('rule', 0.1), USE)).toBeCloseTo(believed(READ), 9)
  })

  test('is what a tool of the rider’s own is believed to add before it is zeroed', () => {
    const tool: EntryDraft = {
      kind: 'tool',
      at: noon(1, 1),
      tool: 'mine',
      instrument: 'three-contact-scale',
      name: 'Mine',
      retired: false,
    }
    const biases = (...drafts: readonly EntryDraft[]) =>
      toolBiases(replay(written([...LOG, tool, ...drafts]))).get('mine')
    expect(biases()?.b).toBeCloseTo(0, 6)
    expect(biases(...lessons('three-contact-scale', 0.08), USE)?.b).toBeCloseTo(0.08, 1)
    expect(biases(...lessons('three-contact-scale', 0.08), USE)?.noise).toBeLessThan(0.06)
  })

  test('goes with looks at teeth, as the rider’s own eye', () => {
    const looks: EntryDraft[] = [{ kind: 'look', at: noon(3, 1), part: 'cassette', cog: 15, word: 'watch' }]
    const graded = Array.from({ length: 30 }, (_, i): EntryDraft => ({
      kind: 'lesson',
      at: noon(2, 1 + (i % 20)),
      // Calls what is at 0.35 to 0.45 "swap", which begins at 0.5.
      answer: { about: 'teeth', truth: 0.35 + 0.1 * ((i % 5) / 4), word: 'swap' },
    }))
    const garage = replay(written([...LOG, ...measuredAt(0.4), ...looks, ...graded, USE]))
    const eye = ownEyeOf(garage)
    expect(eye?.shift).toBeGreaterThan(0.1)
    const draws = {
      count: 1,
      beta: Float32Array.of(1),
      lateTimes: Float32Array.of(1),
      lateFrom: Float32Array.of(9),
      rider: Float32Array.of(0.17),
      times: {},
      chains: {},
    }
    const found = teethAsk(garage, new Set(['heron']), draws).sets.flatMap(({ evidence }) =>
      evidence.map((one) => one.found),
    )
    expect(found).toContainEqual({ kind: 'look', word: 'watch', eye })
  })

  test('is not used until it is asked for', () => {
    expect(schoolUse(replay(written([...LOG, ...lessons('rule', 0.1)])))).toEqual({
      readings: false,
      looks: false,
    })
    expect(ownEyeOf(replay(written(LOG)))).toBeUndefined()
  })
})

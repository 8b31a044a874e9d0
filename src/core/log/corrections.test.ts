import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, noon, ride, ruleReading, written } from '../../../test/log.ts'
import type { Entry, EntryDraft } from './entries.ts'
import { followLog } from './replay-more.ts'
import { replay } from './replay.ts'
import { lineage } from './supersede.ts'

const LATER = Date.UTC(2027, 0, 1)
const log = written([...commuter, ride(1, 2, 10, {}), ride(1, 3, 20)])
const rides = log.filter((entry) => entry.kind === 'ride')
const [first, second] = rides
if (!first || !second) throw new Error('two rides')
const { condition: _said, ...notSetFirst } = first.kind === 'ride' ? first : (undefined as never)
const base: Entry[] = log.map((entry) => (entry.id === first.id ? (notSetFirst as Entry) : entry))
const says = (condition: 'mud' | 'wet-road', ...targets: string[]): EntryDraft => ({
  kind: 'condition',
  at: noon(2, 1),
  targets,
  condition,
  from: 'rider',
})
const conditionsOf = (entries: readonly Entry[]) =>
  replay(entries)
    .bikes.get('heron')
    ?.rides.map((one) => [one.condition, one.unsure === true])

describe('what rides were ridden in', () => {
  test('is the bike’s usual, and unsure, until somebody says', () => {
    expect(conditionsOf(base)).toEqual([
      ['dry-road', true],
      ['dry-road', false],
    ])
    expect(conditionsOf([...base, ...written([says('mud', first.id)], LATER)])?.[0]).toEqual(['mud', false])
  })

  test('the last word counts, and taking it back brings the one before', () => {
    const words = written([says('mud', first.id, second.id), says('wet-road', second.id)], LATER)
    expect(conditionsOf([...base, ...words])).toEqual([
      ['mud', false],
      ['wet-road', false],
    ])
    const undone = written(
      [{ kind: 'withdraw', at: noon(3, 1), targets: [words[1]?.id ?? ''] }],
      LATER + 5000,
    )
    expect(conditionsOf([...base, ...words, ...undone])?.[1]).toEqual(['mud', false])
  })

  test('goes on being said of a ride that was put right, but not over what the correction says itself', () => {
    const words = written([says('mud', first.id)], LATER)
    const { id, ...same } = notSetFirst as Entry & { kind: 'ride' }
    const moved = written([{ ...same, at: noon(1, 9), supersedes: id }], LATER + 5000)
    const after = replay([...base, ...words, ...moved]).bikes.get('heron')?.rides
    expect(after?.at(-1)).toMatchObject({ at: noon(1, 9), condition: 'dry-road', unsure: true })
    const before = written([{ ...same, at: noon(1, 9), supersedes: id }], Date.UTC(2026, 6, 1))
    expect(
      replay([...base, ...before, ...words])
        .bikes.get('heron')
        ?.rides.at(-1),
    ).toMatchObject({ condition: 'mud' })
  })
})

describe('a correction of a correction', () => {
  test('stands for everything it came from; a reading left out stays left out', () => {
    const reading = written([ruleReading(2, 1, 305.5)], LATER)[0]
    if (!reading) throw new Error('a reading')
    const out = written(
      [{ kind: 'reading-use', at: noon(2, 2), target: reading.id, counts: false }],
      LATER + 1000,
    )
    const { id, ...draft } = reading as Entry & { kind: 'reading' }
    const once = written([{ ...draft, at: noon(2, 3), supersedes: id }], LATER + 2000)
    const twice = written([{ ...draft, at: noon(2, 4), supersedes: once[0]?.id ?? '' }], LATER + 3000)
    const all = [...base, reading, ...out, ...once, ...twice]
    expect(lineage(all)(id)).toBe(twice[0]?.id)
    expect(replay(all).readings.get('chain')).toMatchObject([{ used: false, entry: { at: noon(2, 4) } }])
  })
})

test('a part that was lent says to whom, until it is fitted again', () => {
  const lent = written(
    [{ kind: 'remove', at: noon(2, 1), part: 'cassette', to: 'lent', lentTo: 'the school' }],
    LATER,
  )
  expect(replay([...base, ...lent]).parts.get('cassette')?.lentTo).toBe('the school')
  const back = written([{ kind: 'fit', at: noon(3, 1), part: 'cassette', bike: 'heron' }], LATER + 1000)
  expect(replay([...base, ...lent, ...back]).parts.get('cassette')).not.toHaveProperty('lentTo')
})

describe('following a growing log', () => {
  const step = fc.oneof(
    fc.record({
      what: fc.constant('ride' as const),
      day: fc.integer({ min: 1, max: 28 }),
      km: fc.integer({ min: 1, max: 90 }),
    }),
    fc.record({
      what: fc.constantFrom('said' as const, 'computer' as const, 'reading' as const),
      day: fc.integer({ min: 1, max: 28 }),
    }),
  )
  test('is the same as replaying it, whatever comes', () => {
    fc.assert(
      fc.property(fc.array(fc.array(step, { maxLength: 4 }), { maxLength: 8 }), (batches) => {
        const follow = followLog()
        let held: readonly Entry[] = base
        follow(held)
        batches.forEach((batch, b) => {
          const drafts = batch.map((one): EntryDraft => {
            if (one.what === 'ride') {
              const { condition: _condition, ...notSet } = ride(4, one.day, one.km) as EntryDraft & {
                kind: 'ride'
              }
              return one.km % 2 === 0 ? notSet : ride(4, one.day, one.km)
            }
            if (one.what === 'said') return says('mud', first.id)
            if (one.what === 'computer')
              return { kind: 'odometer', at: noon(5, one.day), bike: 'heron', km: one.day * 9 }
            return ruleReading(4, one.day, 305)
          })
          held = [...held, ...written(drafts, LATER + b * 100_000)]
          expect(follow(held)).toEqual(replay(held))
          expect(follow(held)).toBe(follow(held))
        })
      }),
      { numRuns: 60 },
    )
  })

  test('that was wiped begins anew', () => {
    const follow = followLog()
    follow(base)
    expect(follow([]).bikes.size).toBe(0)
  })
})

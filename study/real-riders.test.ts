import { describe, expect, test } from '@jest/globals'
import type { EntryDraft } from '../src/core/log/entries.ts'
import { evidenceOf } from '../src/core/measure/likelihood.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import { faultOfDraft } from '../src/formats/entry-schema.ts'
import { realRider, WORLDS, type World } from './real-riders.ts'

const SEEDS = [1, 2, 3, 4, 5, 6]
const of = (world: World, seed: number, options?: Parameters<typeof realRider>[2]) =>
  realRider(seededRandom(seed), world, options)
const kinds = (drafts: readonly EntryDraft[], kind: EntryDraft['kind']) =>
  drafts.filter((draft) => draft.kind === kind)
const figures = (drafts: readonly EntryDraft[]): number[] =>
  drafts.flatMap((draft) => {
    const evidence = draft.kind === 'reading' ? evidenceOf(draft.reading) : undefined
    return evidence?.form === 'value' ? [evidence.value] : []
  })

describe('a rider who is not like the model', () => {
  test.each(Object.keys(WORLDS) as World[])(
    'of the world %s has a log that can be kept, the same each time',
    (world) => {
      for (const seed of SEEDS) {
        const rider = of(world, seed)
        expect(rider.drafts.map(faultOfDraft).filter(Boolean)).toEqual([])
        expect(of(world, seed)).toEqual(rider)
        expect(rider.drafts.every(({ at }) => at <= rider.now)).toBe(true)
      }
    },
  )

  test('whose reading slipped differs from one like the model in the last look alone', () => {
    const differing = SEEDS.map((seed) => {
      const [base, slip] = [of('slip', seed, { isSlipped: false }), of('slip', seed)]
      expect(slip.nowPercent).toBe(base.nowPercent)
      const at = slip.drafts.flatMap((draft, i) =>
        JSON.stringify(draft) === JSON.stringify(base.drafts[i]) ? [] : [draft.at],
      )
      const last = slip.drafts.findLast(({ kind }) => kind === 'reading')?.at.slice(0, 10)
      expect(at.every((one) => one.slice(0, 10) === last)).toBe(true)
      return at.length
    })
    expect(Math.min(...differing)).toBeGreaterThan(0)
  })

  test('who left out a month has three rides less and no other chain', () => {
    for (const seed of SEEDS) {
      const [base, missing] = [of('base', seed).drafts, of('month-missing', seed).drafts]
      expect(kinds(base, 'ride').length - kinds(missing, 'ride').length).toBe(3)
      expect(kinds(missing, 'fit')).toEqual(kinds(base, 'fit'))
    }
  })

  test('who changed the chain without a word has a chain that got shorter, and the log of one', () => {
    const shorter = Array.from({ length: 40 }, (_, seed) => of('swap-last', seed + 100)).filter(
      ({ drafts, nowPercent }) => {
        const read = figures(drafts.slice(drafts.findLastIndex(({ kind }) => kind === 'fit')))
        return Math.max(...read.slice(0, -1), -1) > nowPercent + 0.05
      },
    )
    expect(shorter.length).toBeGreaterThan(15)
  })

  test('whose gauge is bad reads about 0.25 too high with it', () => {
    const riders = Array.from({ length: 60 }, (_, seed) => of('bad-gauge', seed))
    const over = riders.map(({ drafts, nowPercent }) => (figures(drafts).at(-1) ?? NaN) - nowPercent)
    const mean = over.reduce((a, b) => a + b, 0) / over.length
    // Two-contact gauges add about 0.1 by themselves, by the roller wear that they measure along.
    expect(mean).toBeGreaterThan(0.2)
    expect(mean).toBeLessThan(0.6)
  })
})

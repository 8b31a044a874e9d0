import { describe, expect, test } from '@jest/globals'
import { honestLog, lieAbout, LIES, playLiar, type Lie } from '../../../test/liar.ts'
import { commuter, ride, written } from '../../../test/log.ts'
import { seededRandom } from '../stats/random.ts'
import type { Entry } from './entries.ts'
import { firstText, isProven } from './first-writing.ts'
import { logAfter, mergeLogs } from './merge.ts'
import { overruledBy } from './overruled.ts'
import { replay } from './replay.ts'
import { writtenAs } from './written-as.ts'

const NOW = Date.UTC(2027, 0, 1)
const own = [
  ...written(commuter),
  ...writtenAs([ride(3, 1, 40)], undefined, Date.UTC(2026, 2, 1)),
] as readonly Entry[]
const honest = own.at(-1) as Entry
const kms = (log: readonly Entry[]) =>
  replay(log)
    .bikes.get('heron')
    ?.rides.map(({ km }) => km)
const lie = (what: Lie) => lieAbout(honest, what, seededRandom(5))

describe('an entry of somebody else that goes by an id of ours', () => {
  test('is told from ours by what it says: the id is made from that', () => {
    expect(isProven(honest)).toBe(true)
    expect(isProven(lie('same id'))).toBe(false)
    expect(isProven(lie('earlier id'))).toBe(false)
  })

  test.each([
    'same id',
    'earlier id',
    'later id',
    'shortened',
    'another first id',
    'another action',
  ] as const)('%s: ours stays as it is, and the other is kept aside', (what) => {
    const merge = mergeLogs(own, [lie(what)], NOW)
    expect(merge).toMatchObject({ added: [], replaced: [], known: 0 })
    expect(merge.differing).toEqual([lie(what)])
    expect(kms(logAfter(own, merge))).toEqual([40])
  })

  test.each(['same id', 'earlier id', 'later id', 'shortened', 'another first id'] as const)(
    '%s: where it came first, ours takes its place as soon as it comes',
    (what) => {
      const fresh = own.slice(0, -1)
      const fooled = logAfter(fresh, mergeLogs(fresh, [lie(what)], NOW))
      expect(kms(fooled)).toEqual([999])
      const merge = mergeLogs(fooled, own, NOW)
      expect(merge.differing).toEqual([lie(what)])
      expect(kms(logAfter(fooled, merge))).toEqual([40])
    },
  )

  test('one that takes an entry out, or corrects it, is told of', () => {
    for (const what of ['taken out', 'corrected'] as const) {
      const after = logAfter(own, mergeLogs(own, [lie(what)], NOW))
      expect(overruledBy(own, [lie(what)], after).map(({ id }) => id)).toEqual([honest.id])
    }
    const harmless = [lie('something new')]
    expect(overruledBy(own, harmless, logAfter(own, mergeLogs(own, harmless, NOW)))).toEqual([])
  })

  test('in one file with the honest one, whichever stands first in it', () => {
    const fresh = own.slice(0, -1)
    for (const file of [
      [lie('earlier id'), honest],
      [honest, lie('earlier id')],
    ]) {
      const merge = mergeLogs(fresh, file, NOW)
      expect(merge.added).toEqual([honest])
      expect(merge.differing).toEqual([lie('earlier id')])
    }
  })
})

test('an honest log holds entries that prove themselves, stamped again or not', () => {
  for (const entry of honestLog(seededRandom(1), false))
    expect([firstText(entry), isProven(entry)]).toEqual([firstText(entry), true])
})

test.each([false, true])(
  'a liar changes and removes nothing without a question (earlier version: %p)',
  (old) => {
    const lies = new Set<Lie>(LIES)
    expect(lies.size).toBe(11)
    for (let seed = 1; seed <= 1500; seed++)
      expect([seed, playLiar(seededRandom(seed), old)]).toEqual([seed, undefined])
  },
)

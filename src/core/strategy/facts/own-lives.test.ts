import { expect, test } from '@jest/globals'
import { LUBED, reportOn } from '../../../../test/judged.ts'
import { commuter, noon, ride, written } from '../../../../test/log.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { replay } from '../../log/replay.ts'
import { livesOf } from './own-lives.ts'

const heard = (day: number, look: 'quiet' | 'squeaks'): EntryDraft => ({
  kind: 'lube-check',
  at: noon(4, day),
  chain: 'chain',
  look,
})
const livesOn = (...drafts: readonly EntryDraft[]) =>
  livesOf(replay(written([...commuter, ...drafts])))['wet-lube']

test('a tap counts by the rides since the lube went on, and one more right after it does not', () => {
  const early = [LUBED, ride(4, 1, 100), heard(2, 'squeaks')]
  expect(livesOn(...early)).toMatchObject({ looks: 1 })
  expect(livesOn(...early).lifeKm.after.p50).toBeLessThan(200)
  expect(livesOn(...early, heard(3, 'squeaks')).looks).toBe(1)
  expect(livesOn(...early, ride(4, 3, 60), heard(4, 'squeaks')).looks).toBe(2)
})

test('what is not known to be on the chain, or was put on after, teaches nothing', () => {
  expect(livesOn(ride(4, 1, 100), heard(2, 'squeaks')).looks).toBe(0)
  expect(livesOn(ride(4, 1, 100), heard(2, 'squeaks'), { ...LUBED, at: noon(4, 5) }).looks).toBe(0)
})

test('the bike’s clock goes by it', () => {
  const drafts = [...commuter, LUBED, ride(4, 1, 100)]
  const [before, after] = [drafts, [...drafts, heard(2, 'squeaks')]].map(
    (log) => reportOn(log, noon(4, 3)).chain?.lube?.clock.used ?? 0,
  )
  expect(before).toBeCloseTo(0.4, 9)
  expect(after).toBeGreaterThan(0.5)
})

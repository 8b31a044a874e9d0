import { expect, test } from '@jest/globals'
import { factsOn, LUBED, measuredAt, OF_UNKNOWN_PAST } from '../../../../test/judged.ts'
import { commuter, hundreds, noon, ride } from '../../../../test/log.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { lookDue } from './look-due.ts'

test('one vague reading leaves the word unsure and asks for another', () => {
  const vague: EntryDraft = {
    kind: 'reading',
    at: noon(3, 30),
    chain: 'chain',
    reading: { instrument: 'two-contact-limit', limit: 1, result: 'not-in' },
  }
  const proposal = lookDue(factsOn([...OF_UNKNOWN_PAST, LUBED, vague]))
  expect(proposal).toMatchObject({ action: 'measure', word: 'unsure' })
  expect(proposal?.reasons[0]?.kind).toBe('too-wide')
})

test('a reading long ago that has run out of distance is taken again', () => {
  const old = measuredAt(0.3).map((draft): EntryDraft => ({ ...draft, at: noon(2, 1) }))
  const more = Array.from({ length: 9 }, (_, i) => ride(2, 5 + i, 26))
  const proposal = lookDue(factsOn([...commuter, ...hundreds.slice(0, 4), ...old, ...more, LUBED]))
  expect(proposal?.action).toBe('measure')
  expect(proposal?.reasons[0]).toMatchObject({ kind: 'reading-old', km: 234 })
})

test('who has just looked does not look again, however near the limit the chain is', () => {
  expect(lookDue(factsOn([...commuter, ...hundreds, LUBED, ...measuredAt(0.46)]))).toBeUndefined()
})

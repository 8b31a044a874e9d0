import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../test/log.ts'
import { sayStep } from './entries/index.ts'
import { sayUnsaved } from './unsaved.ts'
import { sayFieldFault, sayRideFault, sayWriteFault } from './write-faults.ts'

const plain = (text: string): string => text.replaceAll('\u00a0', ' ')
const log = written([...commuter, ride(2, 1, 20)])
const NOW = noon(4, 1)

describe('what would be lost', () => {
  test.each([
    [[], undefined, 'Nothing to save yet.'],
    [log, undefined, 'No backup has been saved yet.'],
    [[], { at: NOW }, 'All of it is in the last backup, saved today.'],
    [log, { at: noon(3, 31) }, '8 entries since the last backup, saved yesterday.'],
    [log.slice(0, 1), { at: noon(3, 20) }, '1 entry since the last backup, saved 12 days ago.'],
  ])('%#', (unsaved, last, said) => {
    expect(plain(sayUnsaved(unsaved, last, NOW))).toBe(said)
  })
})

describe('why something was not saved', () => {
  test('names the field, the full disk, or the log that is gone', () => {
    const draft = { field: 'km', fault: 'km must be less than or equal to 5000' }
    expect(sayWriteFault(undefined, { full: false, draft })).toBe(
      'Not saved: the distance must be less than or equal to 5000. What you entered is still here.',
    )
    expect(sayWriteFault(undefined, { full: true })).toMatch(/storage is full/)
    const gone = new Error('gone')
    gone.name = 'LogVanishedError'
    expect(sayWriteFault(gone, { full: false })).toMatch(/no longer there/)
    expect(sayWriteFault(new Error('odd'), { full: false })).toMatch(/refused to write/)
  })

  test('of a recorded ride it says what is wrong with it, and what to do', () => {
    expect(sayRideFault('elapsedSeconds', '')).toMatch(/wrong date/)
    expect(sayRideFault('place.lat', 'place.lat must be at most 90')).toBe(
      'Not taken: place.lat must be at most 90.',
    )
    expect(sayFieldFault('reading', 'reading cannot be')).toBe('the reading cannot be')
  })
})

test('a step undone is told in a few words', () => {
  expect(plain(sayStep(log.slice(-1)))).toBe('1 ride')
  expect(plain(sayStep(log.slice(0, 3)))).toBe('3 entries')
})

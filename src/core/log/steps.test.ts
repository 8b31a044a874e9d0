import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import { ENTRY_FORMAT, type EntryId } from './entry.ts'
import type { Entry, EntryDraft } from './entries.ts'
import { makeEntryId } from './entry-id.ts'
import { restoreDrafts, stepToRedo, stepToUndo } from './steps.ts'
import { liveEntries } from './supersede.ts'

/** A log written step by step, as the store writes it. */
function logBook() {
  let entries: Entry[] = written(commuter)
  let count = 0
  const write = (drafts: readonly EntryDraft[]): Entry[] => {
    const ids = drafts.map((_, i) =>
      makeEntryId(Date.UTC(2027, 0, 1) + ++count, i, new Uint8Array(16).fill(count)),
    )
    const added = drafts.map((draft, i) => ({
      ...draft,
      format: ENTRY_FORMAT,
      id: ids[i] ?? '',
      action: ids[0] ?? '',
    }))
    entries = [...entries, ...added]
    return added
  }
  const withdraw = (targets: readonly EntryId[], reason?: 'undo' | 'redo'): Entry[] =>
    targets.length === 0
      ? []
      : write([{ kind: 'withdraw', at: noon(4, 1), targets, ...(reason && { reason }) }])
  return {
    entries: () => entries,
    write,
    withdraw,
    undo: () =>
      withdraw(
        stepToUndo(entries).map(({ id }) => id),
        'undo',
      ),
    redo: () =>
      withdraw(
        stepToRedo(entries).map(({ id }) => id),
        'redo',
      ),
    restore: (ids: readonly EntryId[]) => write(restoreDrafts(entries, ids, noon(4, 2))),
    rides: () =>
      liveEntries(entries)
        .flatMap((entry) => (entry.kind === 'ride' ? [entry.km] : []))
        .sort((a, b) => a - b),
  }
}

describe('undo', () => {
  test('takes back all that one action wrote, and then the one before', () => {
    const log = logBook()
    log.write([ride(2, 1, 5)])
    log.write([ride(2, 2, 6), ride(2, 3, 7)])
    log.undo()
    expect(log.rides()).toEqual([5])
    log.undo()
    expect(log.rides()).toEqual([])
    expect(log.undo()).toEqual([])
  })

  test('leaves alone what no action wrote: the demo’s history is nobody’s last step', () => {
    expect(stepToUndo(logBook().entries())).toEqual([])
  })

  test('puts back what was taken out, which was a step too', () => {
    const log = logBook()
    const [first] = log.write([ride(2, 1, 5)])
    log.withdraw([first?.id ?? ''])
    expect(log.rides()).toEqual([])
    log.undo()
    expect(log.rides()).toEqual([5])
  })
})

describe('redo', () => {
  test('brings back what undo took, the last first', () => {
    const log = logBook()
    log.write([ride(2, 1, 5)])
    log.write([ride(2, 2, 6)])
    log.undo()
    log.undo()
    log.redo()
    expect(log.rides()).toEqual([5])
    log.redo()
    expect(log.rides()).toEqual([5, 6])
    expect(log.redo()).toEqual([])
  })

  test('does nothing once something else was done: what was undone is restored from the log', () => {
    const log = logBook()
    const [first] = log.write([ride(2, 1, 5)])
    log.undo()
    log.write([ride(2, 2, 6)])
    expect(log.redo()).toEqual([])
    log.restore([first?.id ?? ''])
    expect(log.rides()).toEqual([5, 6])
  })

  test('undo and redo in any number come back to where they began', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 8 }), (steps, undos) => {
        const log = logBook()
        for (let i = 0; i < steps; i++) log.write([ride(2, 1 + i, 10 + i)])
        const before = log.rides()
        for (let i = 0; i < undos; i++) log.undo()
        expect(log.rides()).toHaveLength(Math.max(0, steps - undos))
        for (let i = 0; i < undos; i++) log.redo()
        expect(log.rides()).toEqual(before)
      }),
    )
  })
})

describe('restoring', () => {
  test('puts back one of many that were undone together, and no other', () => {
    const log = logBook()
    const three = log.write([ride(2, 1, 5), ride(2, 2, 6), ride(2, 3, 7)])
    log.undo()
    log.restore([three[1]?.id ?? ''])
    expect(log.rides()).toEqual([6])
    log.restore([three[0]?.id ?? '', three[2]?.id ?? ''])
    expect(log.rides()).toEqual([5, 6, 7])
  })

  test('of what counts changes nothing', () => {
    const log = logBook()
    const [held] = log.write([ride(2, 1, 5)])
    expect(restoreDrafts(log.entries(), [held?.id ?? ''], noon(4, 2))).toEqual([])
  })

  test('can itself be undone', () => {
    const log = logBook()
    const two = log.write([ride(2, 1, 5), ride(2, 2, 6)])
    log.withdraw(two.map(({ id }) => id))
    log.restore([two[0]?.id ?? ''])
    expect(log.rides()).toEqual([5])
    log.undo()
    expect(log.rides()).toEqual([])
  })
})

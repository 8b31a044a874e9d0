import { expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import type { Entry } from './entries.ts'
import { ENTRY_FORMAT } from './entry.ts'
import { makeEntryId } from './entry-id.ts'
import { stillOverruled } from './overruled.ts'
import { liveEntries } from './supersede.ts'
import { decidedDraft, fieldsApart, twoVersions } from './two-versions.ts'

const log = written([...commuter, ride(1, 5, 40)])
const honest = log.find(({ kind }) => kind === 'ride') as Entry & { kind: 'ride' }
const lie: Entry = { ...honest, km: 999 }
const later = (draft: object): Entry =>
  ({
    ...draft,
    format: ENTRY_FORMAT,
    id: makeEntryId(Date.parse(noon(6, 1)), 0, new Uint8Array(16)),
  }) as unknown as Entry

test('two versions of an entry are asked about, until somebody has said which is right', () => {
  expect(twoVersions(log, [lie])).toEqual([{ ours: honest, theirs: lie }])
  const [asked] = twoVersions(log, [lie])
  if (!asked) throw new Error('nothing was asked')
  for (const [right, km] of [
    [honest, 40],
    [lie, 999],
  ] as const) {
    const decided = [...log, later(decidedDraft(asked, right))]
    expect(twoVersions(decided, [lie])).toEqual([])
    const rides = liveEntries(decided).filter((entry) => entry.kind === 'ride')
    expect(rides).toMatchObject([{ km, supersedes: honest.id }])
  }
})

test('the device that holds the other version comes to count the one that was chosen here', () => {
  const [asked] = twoVersions(log, [lie])
  if (!asked) throw new Error('nothing was asked')
  const choice = later(decidedDraft(asked, honest))
  const there = [...log.filter((entry) => entry !== honest), lie, choice]
  expect(liveEntries(there).filter((entry) => entry.kind === 'ride')).toMatchObject([{ km: 40 }])
  expect(twoVersions(there, [honest])).toEqual([])
})

test('a shortened version that is right takes nothing away that was left out of it', () => {
  const ours: Entry = { ...honest, writtenBy: 'Ada' }
  const { writtenBy: _left, ...rest } = { ...ours, km: 41 }
  const theirs: Entry = { ...rest, abridged: true }
  expect(fieldsApart(ours, theirs)).toEqual(['km'])
  expect(decidedDraft({ ours, theirs }, theirs)).toMatchObject({
    km: 41,
    writtenBy: 'Ada',
    supersedes: ours.id,
  })
})

test('what was taken out here, says the same, or is not of this log is no question', () => {
  const out = later({ kind: 'withdraw', at: noon(6, 1), targets: [honest.id] })
  expect(twoVersions([...log, out], [lie])).toEqual([])
  expect(twoVersions(log, [{ ...honest }])).toEqual([])
  expect(twoVersions(log, [{ ...lie, id: makeEntryId(1, 0, new Uint8Array(16)) }])).toEqual([])
  expect(twoVersions(log, [])).toEqual([])
})

test('one that claims an id as its first is set against the entry of that id', () => {
  const claim: Entry = { ...lie, id: makeEntryId(5, 0, new Uint8Array(16)), firstId: honest.id }
  expect(twoVersions(log, [claim])).toEqual([{ ours: honest, theirs: claim }])
})

test('what tells two versions apart is what they say, not how they came', () => {
  expect(fieldsApart(honest, { ...lie, writtenBy: 'Bo' })).toEqual(['km', 'writtenBy'])
  expect(fieldsApart(honest, { ...honest, action: 'x', abridged: true })).toEqual([])
})

test('what was overruled is told only while it is so', () => {
  const out = later({ kind: 'withdraw', at: noon(6, 1), targets: [honest.id] })
  const told = [{ id: honest.id }]
  expect(stillOverruled([...log, out], told)).toEqual(told)
  expect(stillOverruled(log, told)).toEqual([])
  expect(stillOverruled([], told)).toEqual([])
  expect(stillOverruled(log, [{ id: honest.id, again: true }])).toHaveLength(1)
  const corrected = later({ ...honest, km: 41, supersedes: honest.id })
  const replaced = [{ id: honest.id, now: corrected.id }]
  expect(stillOverruled([...log, corrected], replaced)).toEqual(replaced)
  expect(stillOverruled(log, replaced)).toEqual([])
})

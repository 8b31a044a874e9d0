import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import { checkEntry } from '../../formats/entry-schema.ts'
import { mileStrip } from '../strategy/mile-strip.ts'
import { bikeReport } from '../strategy/facts/bike-report.ts'
import type { EntryDraft } from './entries.ts'
import { aboutOf } from './kind-of.ts'
import { replay } from './replay.ts'
import { followLog } from './replay-more.ts'

const notes: readonly EntryDraft[] = [
  { kind: 'note', at: noon(2, 10), about: 'chain', text: 'one stiff link' },
  { kind: 'note', at: noon(2, 1), about: 'heron', text: 'creaks when cold' },
  { kind: 'note', at: noon(2, 2), about: 'cassette', text: 'bent at 21' },
  { kind: 'note', at: noon(2, 3), about: 'nobodys', text: 'lost' },
]
const log = written([...commuter, ride(1, 5, 60), ride(2, 5, 40), ...notes])
const garage = replay(log)

describe('a kind that only its home knows', () => {
  test('is listed under what it is about, in order of time', () => {
    expect(garage.listed.note.get('heron')?.map(({ text }) => text)).toEqual(['creaks when cold'])
    expect([...garage.listed.note.keys()].sort()).toEqual(['cassette', 'chain', 'heron', 'nobodys'])
    expect(log.slice(-4).map(aboutOf)).toEqual([['chain'], ['heron'], ['cassette'], ['nobodys']])
  })

  test('stands on the mile strip at its place of the road, where it is about the bike or a part of it', () => {
    const bike = garage.bikes.get('heron')
    if (!bike) throw new Error('no bike')
    const report = bikeReport(garage, bike, noon(4, 1))
    const { marks } = mileStrip(garage, report, [])
    expect(marks.filter(({ kind }) => kind === 'note').map(({ km, about }) => [km, about])).toEqual([
      [60, 'heron'],
      [60, 'cassette'],
    ])
  })

  test('is checked by its schema, and comes and goes like any other', () => {
    for (const entry of log.slice(-4)) expect(checkEntry(entry)).toEqual({ outcome: 'sound', entry })
    expect(checkEntry({ ...log.at(-1), text: '' }).outcome).toBe('unsound')
    const follow = followLog()
    follow(log.slice(0, -1))
    expect(follow(log)).toEqual(garage)
    const undone = written(
      [{ kind: 'withdraw', at: noon(3, 1), targets: [log.at(-3)?.id ?? ''] }],
      Date.parse(noon(3, 1)),
    )
    expect(replay([...log, ...undone]).listed.note.get('heron')).toBeUndefined()
  })
})

import { describe, expect, test } from '@jest/globals'
import { measuredAt, LUBED, reportOn } from '../../../../test/judged.ts'
import { commuter, noon, ride, written } from '../../../../test/log.ts'
import { answerOf } from '../../../../test/outlook.ts'
import type { EntryDraft } from '../../log/entries.ts'
import type { CheckEntry } from '../../log/kinds/check.ts'
import { replay } from '../../log/replay.ts'
import { remindersOf } from '../reminders.ts'
import { urgency, needsSomething, verdictOf } from '../verdict.ts'
import { findingJobs } from '../job/finding-jobs.ts'
import { checksAhead, lastChecks, notHere, sinceLooked } from './check-facts.ts'

const NOW = noon(4, 1)
const check = (
  item: CheckEntry['item'],
  result: CheckEntry['result'],
  more: Partial<Omit<CheckEntry, 'kind'>> = {},
): EntryDraft => ({ kind: 'check', at: noon(3, 20), bike: 'heron', item, result, ...more })
const LOG = [...commuter, ride(1, 5, 300), ride(3, 25, 60), LUBED, ...measuredAt(0.2)]
const reportWith = (...drafts: readonly EntryDraft[]) => reportOn([...LOG, ...drafts], NOW)
const itemsOf = (...drafts: readonly EntryDraft[]) =>
  reportWith(...drafts).findings.map(({ check: { item } }) => item)
const verdictWith = (...drafts: readonly EntryDraft[]) => {
  const garage = replay(written([...LOG, ...drafts]))
  return verdictOf(reportWith(...drafts), answerOf(garage, NOW, 'chain'))
}

describe('what was found at checks', () => {
  test('stays open until it passes; the last word on an item counts', () => {
    expect(itemsOf(check('frame', 'pass'))).toEqual([])
    expect(itemsOf(check('headset', 'watch'), check('frame', 'fail', { act: 'stop' }))).toEqual([
      'frame',
      'headset',
    ])
    expect(
      itemsOf(check('frame', 'fail', { act: 'stop' }), check('frame', 'pass', { at: noon(3, 21) })),
    ).toEqual([])
    expect(itemsOf(check('tape', 'not-here'))).toEqual([])
  })

  test('comes due by its distance or its day; what cannot wait is due at once', () => {
    const due = (more: Partial<Omit<CheckEntry, 'kind'>>) =>
      reportWith(check('gear-cable', 'fail', { act: 'soon', ...more })).findings[0]?.isDue
    expect(due({ byKm: 300 })).toBe(false)
    // 60 km were ridden since.
    expect(due({ byKm: 50 })).toBe(true)
    expect(due({ byDay: noon(5, 1) })).toBe(false)
    expect(due({ byDay: noon(3, 30) })).toBe(true)
    expect(due({ act: 'now' })).toBe(true)
    expect(reportWith(check('rim-rear', 'watch')).findings[0]).toMatchObject({ isDue: false, km: 60 })
  })

  test('new pads end what was found of the old ones', () => {
    const found = check('pads-front', 'fail', { act: 'now' })
    expect(itemsOf(found)).toEqual(['pads-front'])
    expect(
      itemsOf(found, { kind: 'thickness', at: noon(3, 22), bike: 'heron', part: 'pads-front', isNew: true }),
    ).toEqual([])
  })

  test('what was left at a visit goes on as its advice, until it passes a check', () => {
    const job = findingJobs(reportWith(check('pads-front', 'fail', { act: 'now', note: 'thin' })).findings)[0]
    expect(job).toMatchObject({ id: 'check-pads-front', isSafety: true, note: 'thin', minutes: 20 })
    const visit = (outcome: 'left' | 'done'): EntryDraft => ({
      kind: 'visit',
      at: noon(3, 24),
      visit: 'v',
      bike: 'heron',
      currency: 'EUR',
      sum: 1000,
      hour: 0,
      safetyTimes: 5,
      isClosed: true,
      jobs: [
        {
          id: 'check-pads-front',
          name: 'Disc pads, front',
          isSafety: true,
          price: 1500,
          minutes: 20,
          worth: 14,
          outcome,
        },
      ],
    })
    const found = check('pads-front', 'fail', { act: 'now' })
    const left = reportWith(found, visit('left'))
    expect([left.findings.length, left.advice.map(({ job: { id } }) => id)]).toEqual([
      0,
      ['check-pads-front'],
    ])
    const done = reportWith(found, visit('done'))
    expect([done.findings.length, done.advice.length]).toEqual([0, 0])
    const passed = reportWith(found, visit('left'), check('pads-front', 'pass', { at: noon(3, 30) }))
    expect([passed.findings.length, passed.advice.length]).toEqual([0, 0])
  })

  test('a check dated in the future does not count, and is asked about', () => {
    const ahead = check('frame', 'fail', { at: noon(9, 1), act: 'stop' })
    const garage = replay(written([...LOG, check('frame', 'pass'), ahead]))
    expect(lastChecks(garage, 'heron', NOW).get('frame')?.result).toBe('pass')
    expect(checksAhead(garage, 'heron', NOW).map(({ at }) => at)).toEqual([noon(9, 1)])
  })

  test('how long nobody looked, by a check or by measuring', () => {
    const garage = replay(
      written([
        ...LOG,
        check('pads-rear', 'pass'),
        check('tape', 'not-here'),
        { kind: 'thickness', at: noon(3, 28), bike: 'heron', part: 'pads-rear', mm: 3.5, by: 'caliper' },
      ]),
    )
    const bike = garage.bikes.get('heron')
    if (!bike) throw new Error('no bike')
    const last = lastChecks(garage, 'heron', NOW)
    expect(sinceLooked(garage, bike, last, 'pads-rear', NOW)).toEqual({ days: 4, km: 0 })
    expect(sinceLooked(garage, bike, last, 'frame', NOW)).toEqual({})
    expect(notHere(last)).toEqual(new Set(['tape']))
  })
})

describe('the one verdict', () => {
  test('says before all else that the bike is not to be ridden, and comes before any worn chain', () => {
    const calm = verdictWith()
    const stopped = verdictWith(
      check('fork', 'fail', { act: 'stop' }),
      check('lights', 'fail', { act: 'now' }),
    )
    expect(calm?.action).toBe('ride-on')
    expect(stopped).toMatchObject({ action: 'ride-on', found: { items: ['fork'], isStop: true } })
    expect(stopped?.reasons[0]).toEqual({ kind: 'found-at-check', items: ['fork'], isStop: true })
    expect(stopped?.cautions).toContain('stop-riding')
    if (!calm || !stopped) throw new Error('no verdict')
    expect([needsSomething(calm), needsSomething(stopped)]).toEqual([false, true])
    const due = verdictWith(check('lights', 'fail', { act: 'now' }))
    if (!due) throw new Error('no verdict')
    expect(due.found).toEqual({ items: ['lights'], isStop: false })
    expect(due.cautions).not.toContain('stop-riding')
    expect(urgency(stopped)).toBeGreaterThan(urgency(due))
    expect(urgency(due)).toBeGreaterThan(urgency(calm))
  })

  test('what can wait changes nothing of it', () => {
    expect(verdictWith(check('tape', 'fail', { act: 'soon', byKm: 500 }))).toEqual(verdictWith())
  })
})

describe('what comes up', () => {
  const kindsOf = (...drafts: readonly EntryDraft[]) =>
    remindersOf([{ report: reportWith(...drafts), verdict: verdictWith(...drafts) }]).map(({ kind }) => kind)

  test('findings with their day, the next sheet, and what wears', () => {
    const reminders = remindersOf([
      {
        report: reportWith(
          check('gear-cable', 'fail', { act: 'soon', byDay: noon(4, 20) }),
          { kind: 'thickness', at: noon(1, 2), bike: 'heron', part: 'rim-pads-rear', isNew: true },
          { kind: 'thickness', at: noon(3, 26), bike: 'heron', part: 'rim-pads-rear', mm: 1.4, by: 'ruler' },
        ),
        verdict: undefined,
      },
    ])
    expect(reminders.find(({ kind }) => kind === 'finding')?.day).toBe(noon(4, 20))
    expect(reminders.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['finding', 'check', 'wearing']))
  })

  test('who keeps no record of checks is not reminded of them', () => {
    expect(kindsOf()).not.toContain('check')
    expect(kindsOf(check('frame', 'pass'))).toContain('check')
  })
})

import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride } from '../../../test/log.ts'
import { reportOn } from '../../../test/judged.ts'
import { OCCASIONS } from '../../core/checks/sheets.ts'
import { JOINTS, TORQUE_UNITS } from '../../core/checks/torque.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { CheckEntry } from '../../core/log/kinds/check.ts'
import type { DueWhy } from '../../core/strategy/facts/due-sheets.ts'
import { jobOfFinding } from '../job-words.ts'
import { findingJobs } from '../../core/strategy/job/finding-jobs.ts'
import {
  OCCASION_NAMES,
  sayDueWhy,
  sayFinding,
  sayFindingBy,
  sayFoundFirst,
  sayOccasion,
  saySheetToDo,
} from './check-words.ts'
import { JOINT_NAMES, sayTorque, TORQUE_UNIT_NAMES } from './torque-words.ts'
import { sayMm, sayWearAhead, sayWearNow, sayWearRate, sayWearToDo } from './wearing-words.ts'

const plain = (text: string): string => text.replaceAll('\u00a0', ' ')
const NOW = noon(4, 1)
const WEEKLY = Array.from({ length: 12 }, (_, i) => ride(1 + Math.floor(i / 4), 3 + 7 * (i % 4), 80))
const check = (more: Partial<CheckEntry>): EntryDraft => ({
  kind: 'check',
  at: noon(3, 20),
  bike: 'heron',
  item: 'brake-rear',
  result: 'fail',
  ...more,
})
const report = (...drafts: readonly EntryDraft[]) => reportOn([...commuter, ...WEEKLY, ...drafts], NOW)
const wearing = (...drafts: readonly EntryDraft[]) => {
  const [one] = report(...drafts).wearing
  if (!one) throw new Error('nothing wears')
  return one
}
const measured = (month: number, day: number, more: object): EntryDraft => ({
  kind: 'thickness',
  at: noon(month, day),
  bike: 'heron',
  part: 'pads-front',
  ...more,
})

describe('sheets in words', () => {
  test.each<readonly [DueWhy, string]>([
    [{ kind: 'wet-ride', at: noon(3, 31) }, 'It was ridden in the wet yesterday.'],
    [{ kind: 'days', days: 40 }, 'The last one was 40 days ago.'],
    [{ kind: 'never' }, 'Not done yet, as far as the log goes.'],
    [{ kind: 'season' }, 'It is the time of year for it.'],
    [{ kind: 'stood', days: 44 }, 'It has stood for 44 days.'],
    [{ kind: 'indoor', rides: 6 }, '6 rides on the trainer: sweat eats metal unseen.'],
    [{ kind: 'event', name: 'Quay loop', inDays: 1 }, 'Quay loop begins in 1 day.'],
    [{ kind: 'event', name: 'Quay loop', inDays: 0 }, 'Quay loop begins today.'],
    [{ kind: 'unknown-past' }, 'Its past is unknown: look at everything once.'],
    [{ kind: 'visit' }, 'It was just worked on.'],
  ])('%j', (why, said) => {
    expect(sayDueWhy(why, NOW)).toBe(said)
  })

  test('every occasion has a name and something to do', () => {
    for (const occasion of OCCASIONS) {
      expect(OCCASION_NAMES[occasion]).toBeTruthy()
      expect(sayOccasion(occasion)).toBe(`the ${saySheetToDo({ occasion })}`)
    }
  })
})

describe('findings in words', () => {
  const said = (more: Partial<CheckEntry>): string => {
    const [finding] = report(check(more)).findings
    if (!finding) throw new Error('nothing found')
    return plain(sayFinding(finding, 'metric', NOW))
  }

  test('by what is done about it, and by when', () => {
    expect(said({ act: 'stop', note: 'No bite.' })).toBe('Brake, rear: stop riding. No bite.')
    expect(said({ act: 'now' })).toBe('Brake, rear: before the next ride.')
    expect(said({ act: 'soon' })).toBe('Brake, rear: soon.')
    expect(said({ act: 'soon', byKm: 300, byDay: noon(5, 2) })).toBe('Brake, rear: within 300 km, by 2 May.')
    expect(said({ result: 'watch' })).toBe('Brake, rear: watch it.')
    expect(said({ result: 'watch', byKm: 150 })).toBe('Brake, rear: look again within 150 km.')
    expect(plain(sayFindingBy({ result: 'fail', act: 'soon', byKm: 160 }, 'imperial', NOW))).toBe(
      'within 99 mi',
    )
  })

  test('first of all where the bike is not to be ridden', () => {
    expect(sayFoundFirst(['fork', 'brake-front'], true)).toBe('Do not ride it: fork and front brake.')
    expect(sayFoundFirst(['lights'], false)).toBe('Before the next ride: lights and bell.')
  })

  test('as a job for the owner, what is only watched is none', () => {
    const jobs = findingJobs(
      report(check({ act: 'stop', note: 'No bite.' }), check({ item: 'tape', result: 'watch' })).findings,
    )
    expect(jobs.map((job) => jobOfFinding(job, 800))).toEqual([
      {
        id: 'check-brake-rear',
        name: 'Brake, rear',
        found: 'Failed the check. No bite.',
        isSafety: true,
        minutes: 25,
        price: 800,
        worth: 16,
        outcome: 'open',
      },
    ])
  })
})

describe('what wears, in words', () => {
  test('a guess is called one', () => {
    const one = wearing(measured(1, 2, { isNew: true }))
    expect(plain(sayWearNow(one, 'metric'))).toMatch(
      /^about 3\.\d mm, probably .* limit 3\.0 mm; a guess so far$/,
    )
    expect(plain(sayWearRate(one, 'metric'))).toMatch(/: a guess so far$/)
  })

  test('a measured one says how far, until when, and from how many readings', () => {
    const one = wearing(
      measured(1, 2, { isNew: true }),
      measured(2, 10, { mm: 3.9, by: 'caliper' }),
      measured(3, 28, { mm: 3.6, by: 'caliper' }),
    )
    expect(plain(sayWearAhead(one, 'metric', NOW))).toMatch(
      /^at its limit in about [\d ]+ km, probably [\d ]+ km to [\d ]+ km: about \d+ \w+( \d{4})?, probably /,
    )
    expect(plain(sayWearRate(one, 'metric'))).toMatch(
      /^wears 0\.\d\d mm per 1000 km, probably .*: learned from 2 readings$/,
    )
    expect(plain(sayWearRate(one, 'imperial'))).toMatch(/in per 1000 mi/)
    expect(sayWearToDo(one)).toBe('measure: disc pads, front')
  })

  test('past its limit there is one thing to do', () => {
    const one = wearing(measured(3, 1, { mm: 2.6, by: 'caliper' }))
    expect(sayWearAhead(one, 'metric', NOW)).toBe('at its limit: replace it')
    expect(sayWearToDo(one)).toBe('replace: disc pads, front')
  })

  test('sealant has weeks, no millimetres', () => {
    const one = wearing(measured(1, 2, { part: 'sealant-rear', isNew: true }))
    expect(sayWearNow(one, 'metric')).toMatch(/^probably still liquid: chance that it is dry/)
    expect(sayWearRate(one, 'metric')).toMatch(/^lasts about \d+ weeks, probably \d+ to \d+$/)
    expect(sayWearAhead(one, 'metric', NOW)).toMatch(/^dry about /)
    const old = wearing(
      measured(1, 2, { part: 'sealant-rear', isNew: true }),
      measured(3, 30, { part: 'sealant-rear', isDry: true }),
    )
    expect(sayWearAhead(old, 'metric', NOW)).toBe('put in fresh sealant')
    expect(sayWearToDo(old)).toBe('renew: sealant, rear')
  })

  test('lengths and torques in both kinds of units', () => {
    expect([plain(sayMm(1.55, 'metric')), plain(sayMm(4.2, 'metric')), plain(sayMm(3, 'imperial'))]).toEqual([
      '1.55 mm',
      '4.2 mm',
      '0.118 in',
    ])
    for (const unit of TORQUE_UNITS) expect(sayTorque(5, unit)).toContain(TORQUE_UNIT_NAMES[unit])
    expect(plain(sayTorque(5, 'kgf cm'))).toBe('51 kgf cm')
    for (const joint of JOINTS) expect(JOINT_NAMES[joint]).toBeTruthy()
  })
})

import { describe, expect, test } from '@jest/globals'
import { noon, written } from '../../../test/log.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { checkEntry } from '../entry-schema.ts'

const check = (draft: object) => {
  const [entry] = written([draft as EntryDraft])
  return checkEntry(entry).outcome
}
const fault = {
  kind: 'fault',
  at: noon(1, 4),
  fault: 'f1',
  bike: 'heron',
  about: 'shifting',
  answers: [{ finding: 'slips', said: ['yes'] }],
  found: ['worn-cogs'],
  outcome: 'mended',
}
const gearing = { kind: 'gearing', at: noon(1, 4), bike: 'heron', whatIfs: [] }

describe('entries of faults and gears', () => {
  test.each<readonly [string, object]>([
    ['a fault with a finding of a later app', { ...fault, answers: [{ finding: 'smell', said: ['burnt'] }] }],
    ['a fault with nothing found', { ...fault, found: [], outcome: 'not-found' }],
    [
      'gears with every figure',
      { ...gearing, chainstayMm: 300, powerW: 600, hillPercent: 45, cadenceRpm: 30, slowestRpm: 140 },
    ],
    ['a fall', { kind: 'mishap', at: noon(1, 4), bike: 'heron', what: 'crash' }],
    [
      'a ride with its hills',
      { kind: 'ride', at: noon(1, 4), bike: 'heron', km: 10, steep: { m50: 12, m200: 9, m1000: 0 } },
    ],
  ])('%s is read', (_name, draft) => {
    expect(check(draft)).toBe('sound')
  })

  test.each<readonly [string, object]>([
    ['a cause that nobody knows', { ...fault, found: ['gremlins'] }],
    ['an outcome that nobody knows', { ...fault, outcome: 'perhaps' }],
    ['an answer without a value’s name', { ...fault, answers: [{ finding: 'slips', said: [''] }] }],
    [
      'more answers than there are questions',
      { ...fault, answers: Array.from({ length: 81 }, () => ({ finding: 'slips', said: ['yes'] })) },
    ],
    ['a cog of 3 teeth', { ...fault, cogs: [3] }],
    ['a field that is none', { ...fault, mood: 'bad' }],
    ['a chainstay as long as a bike', { ...gearing, chainstayMm: 1200 }],
    ['a hill that is a wall', { ...gearing, hillPercent: 80 }],
    ['a what-if without a ring', { ...gearing, whatIfs: [{ name: 'a', rings: [], cogs: [11] }] }],
    ['a what-if of 0 teeth', { ...gearing, whatIfs: [{ name: 'a', rings: [40], cogs: [0] }] }],
    ['a what-if without a name', { ...gearing, whatIfs: [{ name: '', rings: [40], cogs: [11] }] }],
    ['a mishap of another kind', { kind: 'mishap', at: noon(1, 4), bike: 'heron', what: 'bad luck' }],
    [
      'a ride up a wall',
      { kind: 'ride', at: noon(1, 4), bike: 'heron', km: 10, steep: { m50: 90, m200: 9, m1000: 1 } },
    ],
  ])('%s is refused', (_name, draft) => {
    expect(check(draft)).toBe('unsound')
  })
})

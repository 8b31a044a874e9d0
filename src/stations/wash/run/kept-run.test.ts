import { beforeEach, expect, test } from '@jest/globals'
import { beginStep, startRun } from '../../../core/session/run.ts'
import { washSteps, type WashJob } from '../../../core/session/wash-steps.ts'
import { forgetText, rememberText } from '../../../ui/local-memory.ts'
import { isStale, keepRun, recallRun, type KeptRun } from './kept-run.ts'

const job: WashJob = {
  way: 'wipe',
  lube: 'wet-lube',
  bike: { hasDiscs: true, isElectric: true },
  chains: [{ id: 'chain', isOn: true }],
  fits: 'chain',
  kit: ['stand'],
}
const KEY = 'jolt-mile-wash-own'
const kept: KeptRun = {
  washes: [{ bike: 'heron', job }],
  run: beginStep(startRun(washSteps(job), 1e12), 'power-off', 1e12),
}
beforeEach(() => forgetText(KEY))

test('a wash that is going on comes back as it was, and is gone when it is over', () => {
  keepRun('own', kept)
  expect(recallRun('own')).toEqual(kept)
  keepRun('own', undefined)
  expect(recallRun('own')).toBeUndefined()
})

test.each([
  ['no JSON', '{'],
  ['another form', JSON.stringify({ bike: 'heron', job, run: kept.run })],
  [
    'a step of no kind',
    JSON.stringify({
      ...kept,
      run: { ...kept.run, steps: [{ id: 'a', kind: 'dance', handsMin: 1, times: 1 }] },
    }),
  ],
  [
    'steps that wait for one another',
    JSON.stringify({
      ...kept,
      run: {
        ...kept.run,
        begun: {},
        steps: kept.run.steps.slice(0, 2).map((step, i, two) => ({ ...step, after: [two[1 - i]?.id] })),
      },
    }),
  ],
])('what cannot be gone on with (%s) is no wash, and stops nobody', (_, text) => {
  rememberText(KEY, text)
  expect(recallRun('own')).toBeUndefined()
})

test('after half a day, or with the clock set back, it is asked about', () => {
  const hour = 3_600_000
  expect(isStale(kept, 1e12 + 2 * hour)).toBe(false)
  expect(isStale(kept, 1e12 + 13 * hour)).toBe(true)
  expect(isStale(kept, 1e12 - hour)).toBe(true)
})

import { expect, test } from '@jest/globals'
import { shiftedUse } from '../../gearing/shifted-use.ts'
import { gearingAsks } from './gearing-ask.ts'
import type { PlansAsk } from './plans-steps.ts'
import type { Plan } from './plans.ts'

const COGS = [11, 13, 15, 17]
const plan = { id: 'limit', policy: { kind: 'replace', at: 0.75 } } as unknown as Plan
const ask = {
  named: 'asked',
  cogs: COGS.map((teeth) => ({ teeth, share: 0.25, material: 'aluminium' })),
  soldSingly: COGS.map(() => true),
  worn: COGS.map(() => Float32Array.of(0.3)),
  largerRing: { teeth: 46, wearTimes: 0.9, cogs: [] },
  plans: [],
  lives: 2000,
  part: [0, 2000],
} as unknown as PlansAsk
const used = COGS.map((cog) => ({ ring: 40, cog, share: 0.25 }))

test('both sets live the same lives; the other one wears as the shifted riding does', () => {
  const shifted = shiftedUse(used, { rings: [46], cogs: COGS })
  const { now, then } = gearingAsks(ask, plan, shifted, COGS, true)
  expect(now).toMatchObject({ plans: [plan], lives: 600, part: [0, 600] })
  expect(now).not.toHaveProperty('largerRing')
  expect(then.lives).toBe(now.lives)
  expect(then.seed).toBe(now.seed)
  expect(then.wearTimes).toBeCloseTo(shifted.chainWearTimes, 12)
  expect(then.wearTimes).toBeLessThan(1)
  expect(then.cogs.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
  expect(then.worn).toBe(ask.worn)
  expect(new Set([ask.named, now.named, then.named]).size).toBe(3)
})

test('another cassette begins as new, of the same material', () => {
  const cogs = [12, 14, 16, 19, 23]
  const { then } = gearingAsks(ask, plan, shiftedUse(used, { rings: [40], cogs }), cogs, false)
  expect(then.worn).toBeUndefined()
  expect(then.cogs.map(({ teeth, material }) => [teeth, material])).toEqual(
    cogs.map((teeth) => [teeth, 'aluminium']),
  )
  expect(then.soldSingly).toHaveLength(5)
})

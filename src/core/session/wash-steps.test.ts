import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { someWash } from '../../../test/some-wash.ts'
import { toEnd } from '../job.ts'
import { timedPlanSteps, withoutSteps } from './fit-time.ts'
import { leastHandsMin, leastMinutes } from './least-minutes.ts'
import { lubeAmounts, materialsOf } from './materials.ts'
import { planSession } from './plan.ts'
import { washSteps, type WashJob } from './wash-steps.ts'

const quarry: WashJob = {
  way: 're-wax',
  lube: 'immersion-wax',
  bike: { hasDiscs: true, isElectric: false },
  chains: ['B2', 'A2', 'C2'].map((id, i) => ({ id, isOn: i === 0 })),
  fits: 'A2',
  kit: ['stand', 'pot'],
}

describe('the steps of a wash', () => {
  test('whatever the way, the bike and the kit: it can be planned, the battery is out first, the chain is lubricated', () => {
    fc.assert(
      fc.property(someWash(), (job) => {
        const steps = washSteps(job)
        const { start, minutes, provenMin } = planSession({ tasks: steps })
        const at = (kind: string): number[] =>
          steps.filter((step) => step.kind === kind).map(({ id }) => start[id] ?? NaN)
        expect(provenMin).toBe(minutes)
        expect(at('power-off')).toHaveLength(job.bike.isElectric ? 1 : 0)
        const onBike = steps.filter(({ kind }) => !['power-off', 'pot-on', 'water-on'].includes(kind))
        for (const { id } of onBike) for (const off of at('power-off')) expect(start[id]).toBeGreaterThan(off)
        expect([...at('drops'), ...at('spray'), ...at('dip')].length).toBeGreaterThanOrEqual(
          job.chains.length,
        )
        // No rotor, no shield; and a rotor is wiped after everything that could soil it.
        if (!job.bike.hasDiscs) expect([...at('shield-rotors'), ...at('rotors-alcohol')]).toEqual([])
        for (const wiped of at('rotors-alcohol'))
          for (const soiling of [...at('degrease-chain'), ...at('clean-cassette'), ...at('drops')])
            expect(wiped).toBeGreaterThan(soiling)
      }),
      { numRuns: 150 },
    )
  })

  test('a chain is dry before hot wax, and lies alone in the pot until it is lifted', () => {
    const steps = washSteps(quarry)
    const { start } = planSession({ tasks: steps })
    const dry = steps.find(({ kind }) => kind === 'dry-chain')
    const dryAt = (start[dry?.id ?? ''] ?? 0) + (dry?.handsMin ?? 0) + (dry?.waitMin ?? 0)
    const inPot = steps
      .filter(({ kind }) => kind === 'dip')
      .map(({ id, chain }) => [start[id] ?? 0, (start[`lift ${chain}`] ?? 0) + 1] as const)
      .sort(([a], [b]) => a - b)
    expect(inPot).toHaveLength(3)
    inPot.forEach(([from], i) => {
      expect(from).toBeGreaterThanOrEqual(dryAt)
      expect(from).toBeGreaterThanOrEqual(inPot[i - 1]?.[1] ?? 0)
    })
    // The one that goes on the bike is dipped first.
    expect(start['dip A2']).toBe(inPot[0]?.[0])
    expect(start['fit-chain A2']).toBeGreaterThan(start['free-links A2'] ?? Infinity)
  })

  test('go by the times that this rider was seen to take', () => {
    const own = washSteps({ ...quarry, ownMin: { 'clean-frame': 3 } })
    expect(own.find(({ kind }) => kind === 'clean-frame')?.handsMin).toBe(3)
    const usual = washSteps(quarry).find(({ kind }) => kind === 'inspect')
    const slow = washSteps({ ...quarry, ownMin: { inspect: 5 } }).find(({ kind }) => kind === 'inspect')
    expect([usual?.handsMin, slow?.handsMin]).toEqual([9, 15])
  })

  test('a chain to be fitted that is not washed is refused', () => {
    expect(() => washSteps({ ...quarry, fits: 'Z9' })).toThrow(/not among those that are washed/)
  })
})

describe('too little time', () => {
  const wipe: WashJob = {
    ...quarry,
    way: 'wipe',
    lube: 'wet-lube',
    chains: [{ id: 'on', isOn: true }],
    fits: 'on',
  }
  const planned = (minutes?: number) =>
    toEnd(timedPlanSteps({ tasks: washSteps(wipe), ...(minutes !== undefined && { minutes }) }))

  test('leaves out what is worth least, and no more than it must', () => {
    const [all, some] = [planned(), planned(38)]
    expect(all.leftOut).toEqual([])
    expect(all.plan.minutes).toBeGreaterThan(38)
    expect(some.leftOut).toEqual(['clean-frame'])
    expect(some.plan.minutes).toBeLessThanOrEqual(38)
  })

  test('whatever the wash and the time: nothing worth less could have been left out instead', () => {
    fc.assert(
      fc.property(someWash(), fc.integer({ min: 10, max: 60 }), (job, minutes) => {
        const tasks = washSteps(job)
        const found = toEnd(timedPlanSteps({ tasks, minutes }))
        if (found.isTooLong) return
        expect(found.plan.minutes).toBeLessThanOrEqual(minutes)
        const worthOf = (out: readonly string[]): number =>
          tasks.reduce((sum, { id, worth = 0 }) => sum + (out.includes(id) ? worth : 0), 0)
        // Each choice by a plan of its own, with no bound to help.
        const may = tasks.filter(({ worth }) => worth !== undefined).map(({ id }) => id)
        for (let bits = 0; bits < 2 ** may.length; bits++) {
          const out = may.filter((_, i) => (bits >> i) & 1)
          if (worthOf(out) >= worthOf(found.leftOut)) continue
          expect(planSession({ tasks: withoutSteps(tasks, new Set(out)) }).minutes).toBeGreaterThan(minutes)
        }
      }),
      { numRuns: 12 },
    )
  })

  test('says where even the least takes longer', () => {
    const least = planned(5)
    expect(least.isTooLong).toBe(true)
    expect(least.plan.minutes).toBeGreaterThan(5)
    expect(least.leftOut).toContain('inspect')
  })
})

describe('what is laid out', () => {
  test('drops, crank turns and things: by the steps that are done', () => {
    // 116 links on a ring of 40: 2.9 turns; a drop is 0.035 ml (methods 7).
    expect(lubeAmounts(116, 40)).toEqual({ drops: 116, ml: 116 * 0.035, crankTurns: 2.9 })
    const materials = materialsOf(washSteps(quarry))
    expect(materials).toEqual(expect.arrayContaining(['wax-pot', 'hook', 'rotor-cloth', 'joining-link']))
    expect(materials).not.toContain('degreaser')
  })
})

test('hands are at a re-wax for far less than it takes, and at drops for all but their wait', () => {
  const given = { bike: { hasDiscs: false, isElectric: false }, kit: ['stand', 'pot'] as const }
  const minutes = leastMinutes(given)
  expect(leastHandsMin(given, 're-wax')).toBeLessThan(minutes['re-wax'] / 2)
  // Onto the stand 1, wipe 2, drops 4, wipe off 2; a quarter of an hour works by itself.
  expect([leastHandsMin(given, 'drip'), minutes.drip]).toEqual([9, 24])
})

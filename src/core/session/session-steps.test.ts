import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { someWash } from '../../../test/some-wash.ts'
import { toEnd } from '../job.ts'
import { timedPlanSteps } from './fit-time.ts'
import { outcomeOf } from './outcome.ts'
import { planSession } from './plan.ts'
import { refusalOf } from './refusal.ts'
import { beginStep, finishHands, skipStep, startRun, stepMinutes, type WashRun } from './run.ts'
import { sessionSteps, type BikeWash } from './session-steps.ts'
import { washSteps, type WashJob } from './wash-steps.ts'

const MIN = 60_000
const PLACES = 2000

const rewax: WashJob = {
  way: 're-wax',
  lube: 'immersion-wax',
  bike: { hasDiscs: true, isElectric: false },
  chains: [{ id: 'B2', isOn: true }],
  fits: 'B2',
  kit: ['stand', 'pot'],
}
const wipe: WashJob = {
  ...rewax,
  way: 'wipe',
  lube: 'wet-lube',
  chains: [{ id: 'H1', isOn: true }],
  fits: 'H1',
}
const both: readonly BikeWash[] = [
  { bike: 'quarry', job: rewax },
  { bike: 'heron', job: wipe },
]

describe('several bikes in one session', () => {
  test('one bike has the steps that it has alone', () => {
    expect(sessionSteps([{ bike: 'quarry', job: rewax }])).toEqual(washSteps(rewax))
    expect(() => sessionSteps([])).toThrow('Choose a bike to wash.')
  })

  test('whatever two bikes need: one pot, one bike at a time on the stand, each step once', () => {
    fc.assert(
      fc.property(someWash('a '), someWash('b '), (a, b) => {
        // The kit is the rider's, and so the same for both.
        const washes = [
          { bike: 'a', job: a },
          { bike: 'b', job: { ...b, kit: a.kit } },
        ]
        const steps = sessionSteps(washes)
        const { start, minutes, provenMin } = planSession({ tasks: steps, mostPlaces: PLACES })
        const of = (kind: string, bike?: string) =>
          steps.filter((step) => step.kind === kind && (bike === undefined || step.bike === bike))
        const at = (kind: string, bike?: string): number[] => of(kind, bike).map(({ id }) => start[id] ?? NaN)
        expect(of('pot-on').length).toBeLessThanOrEqual(1)
        expect(of('pot-off')).toHaveLength(of('pot-on').length)
        for (const off of at('pot-off')) for (const lifted of at('lift')) expect(off).toBeGreaterThan(lifted)
        for (const { job, bike } of washes) {
          const alone = washSteps(job).filter(({ kind }) => !['pot-on', 'water-on', 'pot-off'].includes(kind))
          const own = steps.filter((step) => step.bike === bike && step.kind !== 'off-stand')
          expect(own.map(({ kind }) => kind).sort()).toEqual(alone.map(({ kind }) => kind).sort())
        }
        const [first, second] = ['a', 'b']
          .map((bike) => [at('onto-stand', bike)[0], at('off-stand', bike)[0]] as const)
          .filter(([on]) => on !== undefined)
          .sort(([x = 0], [y = 0]) => x - y)
        if (first && second) expect(second[0]).toBeGreaterThan(first[1] ?? Infinity)
        // Together they take no longer than one after the other, but for taking each off the stand.
        const alone = washes.reduce(
          (sum, { job }) => sum + planSession({ tasks: washSteps(job), mostPlaces: PLACES }).minutes,
          0,
        )
        // Where the search is cut off only what is proven can be held to it.
        expect(provenMin).toBeLessThanOrEqual(alone + of('off-stand').length)
        if (provenMin === minutes) expect(minutes).toBeLessThanOrEqual(alone + of('off-stand').length)
      }),
      { numRuns: 40 },
    )
  })

  test('while one chain soaks and hangs the other bike is done', () => {
    const { minutes, provenMin } = planSession({ tasks: sessionSteps(both) })
    const alone = both.map(({ job }) => planSession({ tasks: washSteps(job) }).minutes)
    expect(provenMin).toBeLessThanOrEqual(minutes)
    expect(minutes).toBeLessThan((alone[0] ?? 0) + (alone[1] ?? 0) - 20)
  })

  test('what is worth least on either bike is left out where time is short', () => {
    const tasks = sessionSteps(both)
    const { plan, leftOut, isTooLong } = toEnd(timedPlanSteps({ tasks, minutes: 70 }))
    expect(isTooLong).toBe(false)
    expect(plan.minutes).toBeLessThanOrEqual(70)
    expect(leftOut).toContain('clean-frame @heron')
    expect(leftOut).toContain('clean-frame @quarry')
  })
})

describe('a session of two bikes that goes on', () => {
  const begun = startRun(sessionSteps(both), 0)
  const doAll = (run: WashRun, isDone: (bike: string | undefined) => boolean): WashRun =>
    run.steps
      .filter(({ bike }) => isDone(bike))
      .reduce((now, { id }, i) => finishHands(beginStep(now, id, 4 * i * MIN), id, 4 * (i + 1) * MIN), run)

  test('each bike’s chain by what was done to it', () => {
    const run = doAll(begun, (bike) => bike !== 'quarry')
    expect(both.map((wash) => outcomeOf(wash, run))).toEqual([
      [],
      [{ chain: 'H1', method: 'wipe', lube: 'wet-lube' }],
    ])
    expect(stepMinutes(run, ({ bike }) => bike === 'quarry')).toEqual({})
    expect(stepMinutes(run, ({ bike }) => bike === 'heron')).toMatchObject({ 'clean-frame': 4 })
  })

  test('a chain is not dipped because another bike’s is dry', () => {
    const two = sessionSteps([
      { bike: 'quarry', job: rewax },
      { bike: 'kite', job: { ...rewax, chains: [{ id: 'K1', isOn: true }], fits: 'K1' } },
    ])
    const run = doAll(startRun(two, 0), (bike) => bike !== 'kite')
    const dips = two.filter(({ kind }) => kind === 'dip')
    expect(dips.map((step) => [step.bike, refusalOf(run, step, 600 * MIN, undefined)])).toEqual([
      ['quarry', undefined],
      ['kite', 'still-wet'],
    ])
  })

  test('a bike that stays off the stand is not taken off it', () => {
    expect(skipStep(begun, 'onto-stand @heron').skipped).toEqual(['onto-stand @heron', 'off-stand @heron'])
  })
})

import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { toEnd } from '../../job.ts'
import type { VisitJob } from '../../log/kinds/visit.ts'
import { isStoodInFor } from './either-or.ts'
import { chooseJobs, leastSafe, needsInARing, stepAt, sumSteps, whyLeft, type JobList } from './job-choice.ts'

const job = (id: string, price: number, worth: number, more: Partial<VisitJob> = {}): VisitJob => ({
  id,
  name: id,
  isSafety: false,
  price,
  minutes: 0,
  worth,
  outcome: 'open',
  ...more,
})
const list = (jobs: readonly VisitJob[], more: Partial<JobList> = {}) => ({
  jobs,
  hour: 0,
  safetyTimes: 5,
  unit: 100,
  ...more,
})
/** A worn drivetrain and worn pads: what a mechanic meets. */
const WORN = [
  job('chain', 3000, 20, { needsOneOf: [['single-cogs', 'cassette']] }),
  job('cassette', 7000, 16, { needs: ['chain'], excludes: ['single-cogs'] }),
  job('single-cogs', 1800, 15, { needs: ['chain'], excludes: ['cassette'] }),
  job('pulleys', 2000, 5, { excludes: ['derailleur'] }),
  job('derailleur', 6000, 5, { excludes: ['pulleys'] }),
  job('pads', 1500, 12, { isSafety: true }),
]
const stepsOf = (of: ReturnType<typeof list>) => toEnd(sumSteps(of))

describe('a job for a fixed sum', () => {
  test('safety comes first by its weight, and with none the drivetrain does', () => {
    expect(chooseJobs(list(WORN), 5000).chosen).toEqual(['pads', 'pulleys'])
    // 48.00 buy chain and single cogs, worth 35; pads and pulleys are worth 17, with pads five times over 65.
    expect(chooseJobs(list(WORN, { safetyTimes: 1 }), 5000).chosen).toEqual(['chain', 'single-cogs'])
    expect(chooseJobs(list(WORN), 6300).chosen).toEqual(['chain', 'pads', 'single-cogs'])
  })

  test('where pulleys are out a whole derailleur stands in, and is not left for another time when they are fitted', () => {
    const out = WORN.map((one) => (one.id === 'pulleys' ? { ...one, isOut: true } : one))
    expect(chooseJobs(list(out), 12_300).chosen).toContain('derailleur')
    const pulleys = WORN.find(({ id }) => id === 'pulleys') as VisitJob
    expect(isStoodInFor(pulleys, WORN, ['derailleur'])).toBe(true)
    expect(isStoodInFor(pulleys, WORN, ['chain'])).toBe(false)
  })

  test('whatever the list: the steps say for every sum what choosing for that sum says', () => {
    const someJobs = fc
      .array(
        fc.record({
          price: fc.integer({ min: 0, max: 60 }),
          minutes: fc.constantFrom(0, 15, 30),
          worth: fc.integer({ min: 0, max: 20 }),
          isSafety: fc.boolean(),
          isOut: fc.boolean(),
          needs: fc.array(fc.nat(7), { maxLength: 1 }),
          excludes: fc.array(fc.nat(7), { maxLength: 1 }),
        }),
        { maxLength: 8 },
      )
      .map((jobs) =>
        jobs.map(({ needs, excludes, isOut, ...rest }, i) => ({
          ...job(`j${i}`, 0, 0),
          ...rest,
          price: rest.price * 100,
          ...(isOut && i % 3 === 0 && { isOut }),
          // Some point at jobs that are not there: they do so no more.
          needs: needs.filter((n) => n !== i).map((n) => `j${n}`),
          excludes: excludes.filter((n) => n !== i).map((n) => `j${n}`),
        })),
      )
    fc.assert(
      fc.property(someJobs, fc.integer({ min: 0, max: 500 }), (jobs, units) => {
        const of = list(jobs, { hour: 2000 })
        const steps = stepsOf(of)
        const sum = units * 100
        const [here, there] = [stepAt(steps, sum), chooseJobs(of, sum)]
        expect(here?.value).toBeCloseTo(there.value, 9)
        expect(here?.total).toBeCloseTo(there.total, 9)
        steps.slice(1).forEach((step, i) => {
          expect(step.from).toBeGreaterThan(steps[i]?.from ?? Infinity)
          expect(step.value).toBeGreaterThanOrEqual(steps[i]?.value ?? Infinity)
        })
      }),
      { numRuns: 150 },
    )
  })

  test('why a job is left: no part, another in its place, what it needs, or the sum', () => {
    const of = list(WORN)
    const steps = stepsOf(of)
    expect(whyLeft(of, steps, 4000, 'chain')).toEqual({ kind: 'sum', from: 6300 })
    expect(whyLeft(of, steps, 13_500, 'single-cogs')).toEqual({ kind: 'instead', id: 'cassette' })
    const noCogs = list(
      WORN.map((one) => (one.id === 'cassette' || one.id === 'single-cogs' ? { ...one, isOut: true } : one)),
    )
    expect(whyLeft(noCogs, stepsOf(noCogs), 20_000, 'cassette')).toEqual({ kind: 'out' })
    expect(whyLeft(noCogs, stepsOf(noCogs), 20_000, 'chain')).toEqual({
      kind: 'needs',
      ids: ['single-cogs', 'cassette'],
    })
  })

  test('the least safe sum counts what safety needs, cheaply; what cannot be had is named', () => {
    const jobs = [
      job('brake', 2000, 5, { isSafety: true, needsOneOf: [['new-lever', 'old-lever']] }),
      job('new-lever', 3000, 1),
      job('old-lever', 500, 1),
      job('ring', 3500, 9),
      job('tyre', 2500, 5, { isSafety: true, isOut: true }),
    ]
    expect(leastSafe(list(jobs))).toEqual({ chosen: ['brake', 'old-lever'], total: 2500, isLeft: ['tyre'] })
    expect(leastSafe(list([job('ring', 1, 1)]))).toEqual({ chosen: [], total: 0, isLeft: [] })
  })

  test('jobs that need one another in a ring are named', () => {
    expect(needsInARing(WORN)).toEqual([])
    const ring = [
      job('a', 1, 1, { needs: ['b'] }),
      job('b', 1, 1, { needs: ['c'] }),
      job('c', 1, 1, { needs: ['a'] }),
    ]
    expect(needsInARing([job('x', 1, 1, { needs: ['a'] }), ...ring])).toEqual(['a', 'b', 'c'])
    expect(chooseJobs(list(ring), 2).chosen).toEqual([])
    expect(chooseJobs(list(ring), 3).chosen).toEqual(['a', 'b', 'c'])
  })
})

import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { isLeftBare, outcomeOf, wasFitted } from './outcome.ts'
import { refusalOf } from './refusal.ts'
import {
  addMinutes,
  beginStep,
  finishHands,
  inHand,
  isRunOver,
  planRest,
  putBack,
  putOff,
  skipStep,
  startRun,
  stepMinutes,
  stepsLeft,
  waiting,
  type WashRun,
} from './run.ts'
import { washSteps, type WashJob } from './wash-steps.ts'

const MIN = 60_000
const job: WashJob = {
  way: 're-wax',
  lube: 'immersion-wax',
  bike: { hasDiscs: true, isElectric: false },
  chains: ['A', 'B'].map((id, i) => ({ id, isOn: i === 0 })),
  fits: 'A',
  kit: ['stand', 'pot'],
}
const begun = (): WashRun => startRun(washSteps(job), 0)

/** Does everything in the planned order, each step taking as long as planned. @returns the run, and when it is over */
function doAll(run: WashRun, fromMs: number, late = 0): { readonly run: WashRun; readonly ms: number } {
  let [now, at] = [run, fromMs]
  while (stepsLeft(now).length > 0) {
    const plan = planRest(now, at)
    const [next] = [...stepsLeft(now)].sort((a, b) => (plan.start[a.id] ?? 0) - (plan.start[b.id] ?? 0))
    if (!next) break
    at += (plan.start[next.id] ?? 0) * MIN
    now = beginStep(now, next.id, at)
    at += (next.handsMin + late) * MIN
    now = finishHands(now, next.id, at)
  }
  return { run: now, ms: Math.max(at, ...waiting(now).map(({ overMs }) => overMs)) }
}

describe('a wash that goes on', () => {
  test('done as planned it takes as long as planned, however often it is planned anew', () => {
    const run = begun()
    const { minutes } = planRest(run, 0)
    const done = doAll(run, 0)
    expect(done.ms / MIN).toBeCloseTo(minutes, 6)
    expect(isRunOver(done.run, done.ms)).toBe(true)
    expect(isRunOver(begun(), 0)).toBe(false)
    expect(
      isRunOver(
        finishHands(beginStep(startRun(begun().steps.slice(0, 1), 0), 'pot-on', 0), 'pot-on', 0),
        19 * MIN,
      ),
    ).toBe(false)
  })

  test('a step that runs over moves what comes after it, and no more than it must', () => {
    const run = beginStep(begun(), 'onto-stand', 0)
    const [onTime, over] = [planRest(run, 1 * MIN), planRest(run, 6 * MIN)]
    expect(over.minutes).toBeLessThanOrEqual(onTime.minutes)
    const late = doAll(begun(), 0, 2)
    expect(late.ms / MIN).toBeGreaterThan(planRest(begun(), 0).minutes)
    expect(late.ms / MIN).toBeLessThanOrEqual(planRest(begun(), 0).minutes + 2 * begun().steps.length)
  })

  test('hands begin one step at a time; what waits counts down by wall time', () => {
    const run = beginStep(beginStep(begun(), 'pot-on', 0), 'water-on', 2 * MIN)
    expect(inHand(run)?.id).toBe('water-on')
    expect(waiting(run)).toMatchObject([{ step: { id: 'pot-on' }, overMs: 22 * MIN }])
    const more = addMinutes(run, 'pot-on', 3, 5 * MIN)
    expect(waiting(more)[0]?.overMs).toBe(25 * MIN)
    // A clock that has rung goes on from now.
    expect(waiting(addMinutes(run, 'pot-on', 1, 60 * MIN))[0]?.overMs).toBe(61 * MIN)
    expect(waiting(addMinutes(run, 'pot-on', -90, 5 * MIN))[0]?.overMs).toBe(5 * MIN)
  })

  test('a chain stays in the pot until it is lifted: the next one waits for it', () => {
    let { run } = { run: begun() }
    for (const kind of [
      'pot-on',
      'water-on',
      'onto-stand',
      'chain-off A',
      'soak-water',
      'dry-chain',
      'inspect',
      'measure',
    ])
      run = finishHands(beginStep(run, kind, 0), kind, 0)
    run = finishHands(beginStep(run, 'dip A', 60 * MIN), 'dip A', 61 * MIN)
    const { start } = planRest(run, 61 * MIN)
    expect(start['lift A']).toBe(10)
    expect(start['dip B']).toBe(11)
  })

  test('skipped steps and put-off ones: the rest is still planned, and whatever was skipped can come back', () => {
    const skipped = skipStep(skipStep(begun(), 'clean-frame'), 'inspect')
    expect(planRest(skipped, 0).start).not.toHaveProperty('inspect')
    expect(planRest(putBack(skipped, 'inspect'), 0).start).toHaveProperty('inspect')
    const plan = planRest(begun(), 0)
    const first = [...begun().steps].sort((a, b) => (plan.start[a.id] ?? 0) - (plan.start[b.id] ?? 0))[0]
    const later = putOff(begun(), first?.id ?? '', 0)
    expect(planRest(later, 0).start[first?.id ?? '']).toBeGreaterThan(0)
  })

  test('whatever is begun, skipped, put off or prolonged, in any order, the rest can be planned', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat({ max: 4 }), fc.nat({ max: 40 })), { maxLength: 25 }), (taps) => {
        let run = begun()
        let at = 0
        for (const [what, which] of taps) {
          at += 90_000
          const left = stepsLeft(run)
          const one = left[which % Math.max(1, left.length)]
          const hand = inHand(run)
          if (what === 0 && one) run = skipStep(run, one.id)
          else if (what === 1 && one) run = putOff(run, one.id, at)
          else if (what === 2 && hand) run = finishHands(run, hand.id, at)
          else if (what === 3) run = addMinutes(run, waiting(run)[0]?.step.id ?? '', 2, at)
          else {
            const { start } = planRest(run, at)
            const next = [...left].sort((a, b) => (start[a.id] ?? 0) - (start[b.id] ?? 0))[0]
            if (next) run = beginStep(run, next.id, at)
          }
          const plan = planRest(run, at)
          expect(Object.keys(plan.start).sort()).toEqual(
            stepsLeft(run)
              .map(({ id }) => id)
              .sort(),
          )
        }
      }),
      { numRuns: 40 },
    )
  })

  test('is the same after it was written down and read back', () => {
    const { run } = doAll(beginStep(begun(), 'pot-on', 0), 60_000)
    expect(JSON.parse(JSON.stringify(run))).toEqual(run)
  })
})

describe('what is refused', () => {
  const [dip] = begun().steps.filter(({ id }) => id === 'dip A')
  const ready = (): WashRun => {
    let run = begun()
    for (const id of ['pot-on', 'dry-chain']) run = finishHands(beginStep(run, id, 0), id, 0)
    return run
  }
  test.each<readonly [string, () => WashRun, number, number | undefined, string | undefined]>([
    ['a chain that was never wiped dry', begun, 0, undefined, 'still-wet'],
    ['one that has not dried yet', ready, 14 * MIN, undefined, 'still-wet'],
    ['one whose drying was skipped', () => skipStep(begun(), 'dry-chain'), 0, undefined, 'never-dried'],
    ['wax that is not melted', ready, 16 * MIN, undefined, 'wax-not-melted'],
    ['wax under its melting point', ready, 30 * MIN, 55, 'wax-too-cold'],
    ['wax near smoking', ready, 30 * MIN, 140, 'wax-too-hot'],
    ['nothing, dry and at 90 °C', ready, 30 * MIN, 90, undefined],
    ['nothing, dry and nobody looked', ready, 30 * MIN, undefined, undefined],
  ])('%s', (_, run, ms, waxC, refused) => {
    if (!dip) throw new Error('the wash has no dip')
    expect(refusalOf(run(), dip, ms, waxC)).toBe(refused)
  })

  test('no other step is', () => {
    for (const step of begun().steps)
      if (step.kind !== 'dip') expect(refusalOf(begun(), step, 0, 200)).toBeUndefined()
  })
})

describe('what a wash leaves', () => {
  test('every chain by what was really done to it', () => {
    const { run } = doAll(begun(), 0)
    expect(outcomeOf({ bike: 'quarry', job }, run)).toEqual([
      { chain: 'A', method: 'off-bike', lube: 'immersion-wax' },
      { chain: 'B', method: 'off-bike', lube: 'immersion-wax' },
    ])
    expect(wasFitted(job, run)).toBe(true)
    const without = doAll(skipStep(begun(), 'dip B'), 0).run
    const [first, second] = outcomeOf({ bike: 'quarry', job }, without)
    expect([first && isLeftBare(first), second && isLeftBare(second)]).toEqual([false, true])
    expect(outcomeOf({ bike: 'quarry', job }, begun())).toEqual([])
    expect(wasFitted(job, begun())).toBe(false)
  })

  test('the minutes that steps took, but none of those ticked off at once or forgotten', () => {
    let run = finishHands(beginStep(begun(), 'clean-frame', 0), 'clean-frame', 11 * MIN)
    run = finishHands(beginStep(run, 'onto-stand', 11 * MIN), 'onto-stand', 11 * MIN + 2000)
    run = finishHands(beginStep(run, 'clean-rings', 12 * MIN), 'clean-rings', 200 * MIN)
    expect(stepMinutes(run)).toEqual({ 'clean-frame': 11 })
    // Two chains gone through in eight minutes are four each: the next plan of two takes eight again, and not sixteen.
    const both = stepMinutes(finishHands(beginStep(begun(), 'inspect', 0), 'inspect', 8 * MIN))
    expect(both).toEqual({ inspect: 4 })
    expect(washSteps({ ...job, ownMin: both }).find(({ kind }) => kind === 'inspect')?.handsMin).toBe(8)
  })
})

import { expect, test } from '@jest/globals'
import { planSession } from '../../../core/session/plan.ts'
import { washSteps } from '../../../core/session/wash-steps.ts'
import { sayClock } from '../run/use-clocks.ts'
import { bikeSpans, freeSpans, lanesOf } from './lanes.ts'

const steps = washSteps({
  way: 're-wax',
  lube: 'immersion-wax',
  bike: { hasDiscs: true, isElectric: false },
  chains: ['A', 'B', 'C'].map((id, i) => ({ id, isOn: i === 0 })),
  fits: 'A',
  kit: ['stand', 'pot'],
})
const plan = planSession({ tasks: steps })

test('one lane of hands in which nothing overlaps, and lanes of waits in which nothing does either', () => {
  const { hands, waits } = lanesOf(steps, plan, ({ chain = '' }) => chain)
  expect(hands).toHaveLength(steps.length)
  hands.forEach((one, i) => expect(one.fromMin).toBeGreaterThanOrEqual(hands[i - 1]?.toMin ?? 0))
  for (const { spans } of waits)
    spans.forEach((one, i) => expect(one.fromMin).toBeGreaterThanOrEqual(spans[i - 1]?.toMin ?? 0))
  expect(waits.map(({ lane }) => lane)).toEqual(expect.arrayContaining(['pot', 'bath', 'hook']))
  const drawn = waits.flatMap(({ spans }) => spans)
  expect(drawn).toHaveLength(steps.filter(({ waitMin = 0 }) => waitMin > 0).length)
  expect(Math.max(...hands.map(({ toMin }) => toMin), ...drawn.map(({ toMin }) => toMin))).toBe(plan.minutes)
  expect(drawn.map(({ name }) => name)).toContain('it hangs: B')
})

test('a clock says minutes and seconds, and 0:00 only when it is over', () => {
  expect([59_001, 200_000, 3_800_000, 1, 0, -5].map(sayClock)).toEqual([
    '1:00',
    '3:20',
    '1:03:20',
    '0:01',
    '0:00',
    '0:00',
  ])
})

test('stretches at one bike follow one another, and none is broken by what the bikes share', () => {
  const span = (bike: string | undefined, fromMin: number, toMin: number) => ({
    step: {
      id: `${fromMin}`,
      kind: 'rinse' as const,
      handsMin: toMin - fromMin,
      times: 1,
      ...(bike && { bike }),
    },
    name: '',
    fromMin,
    toMin,
  })
  expect(
    bikeSpans([span('a', 0, 3), span(undefined, 3, 4), span('a', 4, 6), span('b', 8, 9), span('a', 9, 12)]),
  ).toEqual([
    { bike: 'a', fromMin: 0, toMin: 6 },
    { bike: 'b', fromMin: 8, toMin: 9 },
    { bike: 'a', fromMin: 9, toMin: 12 },
  ])
  expect(bikeSpans([span(undefined, 0, 3)])).toEqual([])
})

test('hands are free between two steps and at the end, where it is for a while', () => {
  const hands = lanesOf(
    ['rinse', 'drops', 'spray'].map((id) => ({ id, kind: 'rinse' as const, handsMin: 3, times: 1 })),
    { minutes: 25, start: { rinse: 0, drops: 4, spray: 15 }, provenMin: 25 },
    () => '',
  ).hands
  expect(freeSpans(hands, 25)).toEqual([
    { fromMin: 7, toMin: 15 },
    { fromMin: 18, toMin: 25 },
  ])
})

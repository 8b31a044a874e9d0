import { describe, expect, test } from '@jest/globals'
import { reportOn } from '../../../../test/judged.ts'
import { commuter, hundreds, ruleReading, written } from '../../../../test/log.ts'
import { lengthAtElongation } from '../../measure/elongation.ts'
import { replay } from '../../log/replay.ts'
import { ownerHabits } from './owner-habits.ts'

const habitsOf = (drafts: Parameters<typeof written>[0]) => {
  const log = [...commuter, ...hundreds, ...drafts]
  return ownerHabits(replay(written(log)), reportOn(log))
}
const read = (month: number, day: number, percent: number) =>
  ruleReading(month, day, lengthAtElongation(24, percent))

describe('how an owner looks and acts', () => {
  test('a guess where the log holds few looks', () => {
    expect(habitsOf([])).toEqual({
      lookKm: 500,
      forgotten: expect.closeTo(0.15, 9),
      late: expect.closeTo(0.2, 9),
      looks: 0,
    })
  })

  test('a look every 200 km, none forgotten; one left out shows as a gap of twice that', () => {
    // 100 km every fifth day: looks after each second ride.
    const even = habitsOf([read(1, 11, 0.1), read(1, 21, 0.15), read(2, 6, 0.2), read(2, 16, 0.25)])
    expect(even.lookKm).toBeCloseTo(200, 6)
    // Nothing missed in four, beside six looks of a guess.
    expect(even.forgotten).toBeCloseTo((0.15 * 6) / 10, 9)
    const gap = habitsOf([read(1, 11, 0.1), read(1, 21, 0.15), read(2, 6, 0.2), read(2, 22, 0.25)])
    expect(gap.forgotten).toBeGreaterThan(even.forgotten)
  })

  test('a look past the limit that nothing came of is acted on late; the last one may yet be', () => {
    const late = habitsOf([read(1, 11, 0.55), read(1, 21, 0.6), read(2, 6, 0.65)])
    // Two of three, beside six of a guess.
    expect(late.late).toBeCloseTo((0.2 * 6 + 2) / 9, 9)
  })
})

import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { seededRandom } from '../stats/random.ts'
import { roundPeriods, tapPeriod, tellingGear, type Round, type Turning } from './tap-period.ts'

const BIKE: Turning = { links: 112, ring: 42, cog: 17, pulley: 11 }

/** Taps at a steady two seconds a turn, with a hand's error, some missed and one stray. */
function tapsAt(period: number, turns: number, seed: number, sd = 0.05) {
  const random = seededRandom(seed)
  const phase = period * random.unit()
  const jerks: number[] = []
  for (let at = phase; at < turns; at += period)
    if (random.chance(0.9)) jerks.push(2 * (at + random.normal(0, sd)))
  const turnTaps = Array.from({ length: turns + 1 }, (_, i) => 2 * i)
  return { jerks: jerks.filter((t) => t > 0).sort((a, b) => a - b), turns: turnTaps }
}

const likeliest = (taps: Parameters<typeof tapPeriod>[0], bike = BIKE): Round | 'none' | undefined => {
  const answer = tapPeriod(taps, bike)
  if (!answer.isTold) return undefined
  return (Object.entries(answer.chances) as [Round | 'none', number][]).sort((a, b) => b[1] - a[1])[0]?.[0]
}

describe('what jerks keep time with', () => {
  test('periods, by hand: 112 links round a ring of 42 take 2 and two thirds turns', () => {
    expect(roundPeriods(BIKE)).toEqual({
      crank: 1,
      chain: expect.closeTo(2.6667, 4),
      wheel: expect.closeTo(17 / 42, 9),
      pulley: expect.closeTo(11 / 42, 9),
    })
  })

  test.each<[Round, number]>([
    ['crank', 12],
    ['chain', 16],
    ['wheel', 10],
    ['pulley', 10],
  ])('a jerk once per %s is told, tapped by an honest hand', (round, turns) => {
    const period = roundPeriods(BIKE)[round] ?? 1
    const sd = round === 'pulley' ? 0.02 : 0.05
    const right = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10].filter(
      (seed) => likeliest(tapsAt(period, turns, seed, sd)) === round,
    )
    expect(right.length).toBeGreaterThanOrEqual(9)
  })

  test('jerks without a rhythm are said to have none', () => {
    const told = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10].map((seed) => {
      const random = seededRandom(seed)
      const jerks = Array.from({ length: 9 }, () => 24 * random.unit()).sort((a, b) => a - b)
      return likeliest({ jerks, turns: Array.from({ length: 13 }, (_, i) => 2 * i) })
    })
    expect(told.filter((one) => one === 'none').length).toBeGreaterThanOrEqual(8)
  })

  test('a jerk every third turn is not one of every turn, however evenly it comes', () => {
    const jerks = [0.4, 3.4, 6.4, 9.4, 12.4].map((at) => 2 * at)
    const turns = Array.from({ length: 15 }, (_, i) => 2 * i)
    const answer = tapPeriod({ jerks, turns }, { links: 116, ring: 40, cog: 21, pulley: 11 })
    if (!answer.isTold) throw new Error('told')
    expect(answer.chances.crank).toBeLessThan(0.1)
  })

  test('turns may be counted instead of tapped, and the speed of the hand does not matter', () => {
    const taps = tapsAt(112 / 42, 16, 3)
    const counted = { jerks: taps.jerks, turns: [0, 32], counted: 16 }
    expect(likeliest(counted)).toBe('chain')
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 30, noNaN: true }),
        fc.integer({ min: -50, max: 50 }),
        (speed, later) => {
          const move = (t: number): number => t * speed + later
          const answer = tapPeriod({ jerks: taps.jerks.map(move), turns: taps.turns.map(move) }, BIKE)
          const before = tapPeriod(taps, BIKE)
          if (!answer.isTold || !before.isTold) throw new Error('told')
          expect(answer.chances.chain).toBeCloseTo(before.chances.chain, 6)
        },
      ),
      { numRuns: 20 },
    )
  })

  test('chances sum to one, and name what these gears cannot tell apart', () => {
    const answer = tapPeriod(tapsAt(1, 12, 5), { links: 110, ring: 40, cog: 40 })
    if (!answer.isTold) throw new Error('told')
    expect(Object.values(answer.chances).reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9)
    expect(answer.alike).toHaveLength(1)
    expect(answer.chances.pulley).toBe(0)
  })

  test.each([
    ['few-jerks', { jerks: [1, 2, 3], turns: [0, 2, 4, 6, 8] }],
    ['few-turns', { jerks: [1, 2, 3, 4], turns: [0, 2] }],
    ['few-turns', { jerks: [1, 2, 3, 4], turns: [] }],
    ['no-time', { jerks: [1, 2, 3, 4], turns: [5, 5], counted: 8 }],
    ['out-of-order', { jerks: [4, 3, 2, 1], turns: [0, 2, 4, 6] }],
  ])('%s is said, not guessed at', (fault, taps) => {
    expect(tapPeriod(taps, BIKE)).toEqual({ isTold: false, fault })
  })
})

test('the gear that tells most keeps all periods apart', () => {
  const gear = tellingGear(112, [50, 34], [11, 13, 15, 17, 19, 21, 24, 28], 11)
  expect(gear?.cog).toBeGreaterThan(13)
  expect(tellingGear(112, [], [11])).toBeUndefined()
})

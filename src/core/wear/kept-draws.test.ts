import { plainWear } from './late-wear.ts'
import { describe, expect, test } from '@jest/globals'
import { caliperReadings, commuter, hundreds, noon, written } from '../../../test/log.ts'
import { outlookOf } from '../../../test/outlook.ts'
import { replay } from '../log/replay.ts'
import { factorLogSd } from '../exposure/roads.ts'
import { meanOf } from '../stats/mean.ts'
import { intervalOf } from '../stats/interval.ts'
import { onBike } from './outlook.ts'
import { keptElongation, keptWearKm } from './kept-draws.ts'

const garage = replay(written([...commuter, ...hundreds, ...caliperReadings(3, 20, 0.3, 3)]))
const { draws, chains } = outlookOf(garage, noon(3, 31))
const own = draws.chains['chain']
if (!own) throw new Error('no draws of the chain')

describe('the draws that an answer carries', () => {
  test('are some 500, the same number of everything', () => {
    expect(draws.count).toBe(500)
    for (const list of [draws.beta, draws.rider, own.rate, own.start, own.wearKm]) {
      expect(list).toHaveLength(500)
      expect(list.every(Number.isFinite)).toBe(true)
    }
  })

  test('say of the chain now what the answer says', () => {
    const now = chains['chain']?.now
    const worn = keptElongation(own, own.wearKm)
    const mean = worn.reduce((a, b) => a + b, 0) / worn.length
    const { p10, p90 } = intervalOf(worn)
    expect(mean).toBeCloseTo(now?.mean ?? 0, 2)
    expect(p10).toBeGreaterThan(now?.p05 ?? 0)
    expect(p90).toBeLessThan(now?.p95 ?? 0)
  })

  test('lengthen a chain by its rate: 1000 wear-km more than the first 1000 add rate × (2^beta - 1) before it quickens', () => {
    const at = (km: number) => keptElongation(own, new Float64Array(draws.count).fill(km))
    const plain = (worn: Float64Array, n: number) =>
      plainWear(worn[n] ?? 0, own.lateTimes[n] ?? 1, own.lateFrom[n] ?? 0)
    const [one, two] = [at(1000), at(2000)]
    for (const n of [0, 100, 499]) {
      const [rate, beta] = [own.rate[n] ?? 0, own.beta[n] ?? 0]
      // Before it quickens late; the lists are of single precision.
      expect(plain(two, n) - plain(one, n)).toBeCloseTo(rate * (2 ** beta - 1), 6)
    }
  })

  test('lay any road: dry road is itself, a condition never ridden is as unsure as it was beforehand', () => {
    expect([...keptWearKm(draws, [{ km: 70, condition: 'dry-road' }])]).toEqual(Array(500).fill(70))
    const mud = keptWearKm(draws, [{ km: 1, condition: 'mud', lube: 'wet-lube' }])
    const logs = Array.from(mud, Math.log)
    const mean = logs.reduce((a, b) => a + b, 0) / logs.length
    const sd = Math.sqrt(logs.reduce((sum, log) => sum + (log - mean) ** 2, 0) / logs.length)
    expect(sd / factorLogSd('mud')).toBeGreaterThan(0.9)
    expect(sd / factorLogSd('mud')).toBeLessThan(1.1)
    // The same question has the same answer.
    expect([...keptWearKm(draws, [{ km: 1, condition: 'mud', lube: 'wet-lube' }])]).toEqual([...mud])
  })
})

describe('while a question about a look is open', () => {
  const doubted = replay(
    written([
      ...commuter,
      ...hundreds,
      ...caliperReadings(2, 20, 0.35, 3),
      ...caliperReadings(3, 28, 0.05, 2),
    ]),
  )
  const outlook = outlookOf(doubted, noon(3, 31))
  const answer = onBike(outlook.chains['chain'])
  const kept = outlook.draws.chains['chain']
  if (!answer?.surprise || !kept) throw new Error('no question is open')

  test('the draws that are kept are of all its answers, as the answer itself is', () => {
    const worn = keptElongation(kept, kept.wearKm)
    const { p10, p90 } = intervalOf(worn)
    expect(meanOf(worn)).toBeCloseTo(answer.now.mean, 1)
    expect(p10).toBeGreaterThan(answer.now.p05 - 0.02)
    expect(p90).toBeLessThan(answer.now.p95 + 0.02)
    // Wider than three caliper readings alone would have it.
    expect(answer.now.p95 - answer.now.p05).toBeGreaterThan(0.12)
  })

  test('the rates say of the chain what its own answer says', () => {
    const rate = outlook.rates.chains.find(({ id }) => id === 'chain')?.after
    expect(rate).toEqual(answer.ratePer1000)
  })

  test('what to find out next is first of all what happened, and that decides much', () => {
    const [first, second] = outlook.lessons
    expect(first).toMatchObject({ kind: 'question', chain: 'chain' })
    expect(first?.share).toBeGreaterThan(0.2)
    expect(second).toMatchObject({ kind: 'look', chain: 'chain' })
  })
})

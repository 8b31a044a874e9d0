import { plainWear } from './late-wear.ts'
import { describe, expect, test } from '@jest/globals'
import { caliperReadings, commuter, hundreds, noon, written } from '../../../test/log.ts'
import { outlookOf } from '../../../test/outlook.ts'
import { replay } from '../log/replay.ts'
import { factorLogSd } from '../exposure/roads.ts'
import { intervalOf } from '../stats/interval.ts'
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
    const worn = keptElongation(draws, own, own.wearKm)
    const mean = worn.reduce((a, b) => a + b, 0) / worn.length
    const { p10, p90 } = intervalOf(worn)
    expect(mean).toBeCloseTo(now?.mean ?? 0, 2)
    expect(p10).toBeGreaterThan(now?.p05 ?? 0)
    expect(p90).toBeLessThan(now?.p95 ?? 0)
  })

  test('lengthen a chain by its rate: 1000 wear-km more than the first 1000 add rate × (2^beta - 1) before it quickens', () => {
    const at = (km: number) => keptElongation(draws, own, new Float64Array(draws.count).fill(km))
    const plain = (worn: Float64Array, n: number) =>
      plainWear(worn[n] ?? 0, draws.lateTimes[n] ?? 1, draws.lateFrom[n] ?? 0)
    const [one, two] = [at(1000), at(2000)]
    for (const n of [0, 100, 499]) {
      const [rate, beta] = [own.rate[n] ?? 0, draws.beta[n] ?? 0]
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

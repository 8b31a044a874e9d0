import { describe, expect, test } from '@jest/globals'
import { replay } from '../src/core/log/replay.ts'
import { bikeReport } from '../src/core/strategy/facts/bike-report.ts'
import { verdictOf } from '../src/core/strategy/verdict.ts'
import { itemsOfSheet, OCCASIONS } from '../src/core/checks/sheets.ts'
import { fittedChain } from '../src/core/log/garage.ts'
import { checkEntry } from '../src/formats/entry-schema.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import { outlookOf } from '../test/outlook.ts'
import type { WearAnswer } from '../src/core/wear/outlook.ts'
import { demoWorld } from './world.ts'

const today = '2026-11-23T08:00:00.000Z'
const world = demoWorld(today)
const garage = replay(world)
const outlook = outlookOf(garage, today)
const stateOf = (name: string) => {
  const bike = garage.bikes.get(name)
  if (!bike) throw new Error(`${name} is not in the garage`)
  const report = bikeReport(garage, bike, today)
  const answer = outlook.chains[report.chain?.part.entry.part ?? ''] as WearAnswer | undefined
  return { report, verdict: verdictOf(report, answer) }
}

describe('the demo world', () => {
  test('is the same for the same day and seed, and another for another', () => {
    expect(demoWorld(today)).toEqual(world)
    expect(demoWorld(today, 7)).not.toEqual(world)
  })

  test('has five bikes and two years, up to yesterday', () => {
    expect([...garage.bikes.values()].map(({ entry }) => entry.name).sort()).toEqual([
      'Heron',
      'Kite',
      'Plover',
      'Quarry',
      'Sparrow',
    ])
    expect(world.every(({ at }) => at < today)).toBe(true)
    expect(world.some(({ at }) => at < '2024-12-01')).toBe(true)
    expect(world.some(({ at }) => at > '2026-11-21')).toBe(true)
  })

  test('holds only entries that pass the door, each with an id of its own', () => {
    for (const entry of world) expect(checkEntry(entry)).toHaveProperty('entry')
    expect(new Set(world.map(({ id }) => id)).size).toBe(world.length)
  })

  test('tells the tales it should: salt, rotation, a motor, an unmeasured bike, an unknown past', () => {
    const salt = world.filter((entry) => entry.kind === 'ride' && entry.condition === 'winter-salt')
    expect(salt.length).toBeGreaterThan(50)
    const quarryChains = [...garage.parts.values()].filter(
      (part) => part.entry.part.startsWith('quarry-chain') && part.fittings.length > 1,
    )
    expect(quarryChains.length).toBeGreaterThanOrEqual(3)
    expect(
      world.some(
        (entry) => entry.kind === 'ride' && entry.bike === 'kite' && (entry.energyKjPerKm ?? 0) > 40,
      ),
    ).toBe(true)
    expect(fittedChain(garage, 'plover')?.entry.spec).toMatchObject({ past: 'unknown' })
    expect(garage.parts.get('sparrow-cassette')?.entry.note).toMatch(/None to be had/)
  })

  test('has sheets for every bike, with what each has not left out', () => {
    const monthly = (name: string) => itemsOfSheet('monthly', stateOf(name).report.bike.entry)
    for (const name of garage.bikes.keys())
      for (const occasion of OCCASIONS)
        expect([name, occasion, itemsOfSheet(occasion, stateOf(name).report.bike.entry).length > 0]).toEqual([
          name,
          occasion,
          true,
        ])
    const [heron, quarry, kite, sparrow, plover] = ['heron', 'quarry', 'kite', 'sparrow', 'plover'].map(
      monthly,
    )
    expect(heron).toEqual(expect.arrayContaining(['pads-rear', 'gear-cable']))
    expect(heron).not.toEqual(expect.arrayContaining(['rim-pads-rear']))
    expect(quarry).toEqual(expect.arrayContaining(['sealant', 'shift-battery']))
    expect(quarry).not.toContain('gear-cable')
    expect(kite).toEqual(expect.arrayContaining(['motor', 'contacts', 'suspension']))
    expect(sparrow).toEqual(expect.arrayContaining(['rim-front', 'rim-pads-front']))
    for (const absent of ['hanger', 'pulleys', 'indexing', 'gear-cable', 'pads-front', 'motor'] as const)
      expect(sparrow).not.toContain(absent)
    // Nobody has entered what Plover has: it is asked for both kinds of brakes.
    expect(plover).toEqual(expect.arrayContaining(['pads-front', 'rim-pads-front']))
  })

  test('has pads that are forecast with an interval and a day, and findings that wait', () => {
    const pads = stateOf('kite').report.wearing.find(({ part }) => part === 'pads-front')
    expect(pads?.isGuess).toBe(false)
    expect(pads?.toLimit.p10).toBeLessThan(pads?.toLimit.p90 ?? 0)
    expect(pads?.lookDay).toBeDefined()
    expect(stateOf('heron').report.findings.map(({ check: { item } }) => item)).toEqual([
      'gear-cable',
      'rotor-rear',
    ])
  })

  test('has something to say of each bike, and not the same of all', () => {
    expect(stateOf('kite').verdict?.action).toBe('swap-chain-and-cogs')
    expect(stateOf('sparrow').verdict).toMatchObject({ action: 'measure', word: 'unsure' })
    expect(stateOf('plover').report.chain?.story.km).toBeLessThan(20)
    const actions = ['heron', 'quarry', 'kite', 'sparrow', 'plover'].map(
      (name) => stateOf(name).verdict?.action,
    )
    expect(new Set(actions).size).toBeGreaterThanOrEqual(3)
  })
})

describe('seeded randomness', () => {
  test('repeats itself, stays in range and has about the right spread', () => {
    const [one, other] = [seededRandom(5), seededRandom(5)]
    const drawn = Array.from({ length: 4000 }, () => one.normal(2, 3))
    expect(Array.from({ length: 4000 }, () => other.normal(2, 3))).toEqual(drawn)
    const mean = drawn.reduce((a, b) => a + b, 0) / drawn.length
    const sd = Math.sqrt(drawn.reduce((sum, x) => sum + (x - mean) ** 2, 0) / drawn.length)
    expect(mean).toBeCloseTo(2, 0)
    expect(sd).toBeCloseTo(3, 0)
    expect(Array.from({ length: 500 }, () => one.between(4, 5)).every((x) => x >= 4 && x < 5)).toBe(true)
  })
})

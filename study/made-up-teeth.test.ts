import { expect, test } from '@jest/globals'
import { seededRandom } from '../src/core/stats/random.ts'
import { madeUpCassette } from './made-up-teeth.ts'

test('a made-up cassette is the same for the same seed, worn, and looked at where it has cogs', () => {
  const [one, again] = [madeUpCassette(seededRandom(4)), madeUpCassette(seededRandom(4))]
  expect(again.truth).toEqual(one.truth)
  const [set] = one.ask.sets
  expect(one.truth).toHaveLength(set?.sprockets.length ?? NaN)
  for (const { worn, skips } of one.truth) {
    expect(worn).toBeGreaterThan(0)
    expect(skips).toBeGreaterThanOrEqual(0)
    expect(skips).toBeLessThanOrEqual(1)
  }
  for (const { sprocket, after } of set?.evidence ?? []) {
    expect(sprocket).toBeLessThan(one.truth.length)
    expect(after).toBeLessThanOrEqual(set?.stretches.length ?? 0)
  }
  // The cogs that bear most are worn most.
  const loads = set?.stretches[0]?.loads ?? []
  const [hardest, easiest] = [loads.indexOf(Math.max(...loads)), loads.indexOf(Math.min(...loads))]
  expect(one.truth[hardest]?.worn).toBeGreaterThan(one.truth[easiest]?.worn ?? NaN)
})

test('looks that are heard otherwise are the same looks', () => {
  const eye = { shift: 0.1, sd: 0.1 }
  const [heard, unheard] = [
    madeUpCassette(seededRandom(9), { eye, heard: eye, often: 0.5 }),
    madeUpCassette(seededRandom(9), { eye, often: 0.5 }),
  ]
  const looks = (made: typeof heard) =>
    made.ask.sets[0]?.evidence.flatMap(({ found }) => (found.kind === 'look' ? [found] : [])) ?? []
  expect(looks(heard).length).toBeGreaterThan(10)
  expect(looks(heard).map(({ word }) => word)).toEqual(looks(unheard).map(({ word }) => word))
  expect(looks(heard).every((look) => look.eye === eye)).toBe(true)
  expect(looks(unheard).some((look) => look.eye !== undefined)).toBe(false)
})

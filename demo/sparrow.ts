import { BUILDS } from './checks.ts'
import { deliver, look, ride, STORY_DAYS, wash } from './bikes.ts'
import type { Diary } from './diary.ts'
import type { Random } from '../src/core/stats/random.ts'
import { roadToday } from './weather.ts'

/** Sparrow, a quay hire bike with one cog, much ridden and never measured; its cog cannot be had before spring. */
export function sparrow(diary: Diary, random: Random): void {
  deliver(
    diary,
    180,
    'sparrow',
    {
      name: 'Sparrow',
      note: 'quay hire bike, one cog',
      speeds: 1,
      shifting: 'none',
      motor: 'none',
      usualCondition: 'dry-road',
      storage: 'outdoors',
      ...BUILDS.sparrow,
    },
    {
      cassette: {
        name: 'Cog 18',
        spec: { type: 'cassette', teeth: [18], material: 'steel' },
        note: 'None to be had before spring; the spare went to another hire bike.',
      },
      ring: { name: 'Ring 44', spec: { type: 'ring', teeth: 44, material: 'steel' } },
    },
  )
  diary.fitNew(180, 'sparrow', 'sparrow-chain-1', 'Wide chain', {
    type: 'chain',
    links: 106,
    speeds: 1,
    past: 'new',
  })
  for (let day = 180; day < STORY_DAYS; day++) {
    const summer = ['05', '06', '07', '08', '09'].includes(diary.at(day).slice(5, 7))
    if (random.chance(summer ? 0.7 : 0.15))
      ride(diary, random, day, 'sparrow', random.normal(7, 2), roadToday(diary.at(day), random))
    if (day % 90 === 0) wash(diary, day, 'sparrow-chain-1', 'wipe', 'wet-lube')
  }
  look(diary, STORY_DAYS - 100, 'sparrow-cassette', { 18: 'good' })
  // Its little computer counts what hirers forget to report.
  const counted = diary.entries.reduce(
    (sum, entry) =>
      entry.kind === 'ride' && entry.bike === 'sparrow' && entry.at > diary.at(500) ? sum + entry.km : sum,
    0,
  )
  diary.write(
    { kind: 'odometer', at: diary.at(500), bike: 'sparrow', km: 1204 },
    { kind: 'odometer', at: diary.at(STORY_DAYS - 3), bike: 'sparrow', km: Math.round(1204 + counted + 58) },
  )
}

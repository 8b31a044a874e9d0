import { BUILDS } from './checks.ts'
import type { ChainSpec } from '../src/core/log/kinds/part.ts'
import { deliver, look, picture, retire, STORY_DAYS, underLoad, wash } from './bikes.ts'
import type { Diary, TrueWear } from './diary.ts'
import type { Random } from '../src/core/stats/random.ts'
import { roadToday } from './weather.ts'

const CHAIN: ChainSpec = { type: 'chain', links: 122, speeds: 9, past: 'new' }
const COGS = [11, 13, 15, 18, 21, 24, 28, 32, 36]
const CHANGES = [2, 215, 475]
const TRUTH: TrueWear = { rate: 0.205, start: 0 }

const PULLEYS = {
  guide: { name: 'Guide pulley', spec: { type: 'pulley', position: 'guide', teeth: 11 } },
  tension: { name: 'Tension pulley', spec: { type: 'pulley', position: 'tension', teeth: 11 } },
} as const

/** Kite, a mid-drive cargo bike on bakery rounds: every weekday, loaded, outdoors, its last chain run long. */
export function kite(diary: Diary, random: Random): void {
  deliver(
    diary,
    2,
    'kite',
    {
      name: 'Kite',
      note: 'mid-drive cargo bike, 1 x 9, bakery rounds',
      speeds: 9,
      shifting: 'cable',
      motor: 'mid-drive',
      usualCondition: 'dry-road',
      storage: 'outdoors',
      ...BUILDS.kite,
      massKg: 165,
      motorShare: 0.55,
    },
    {
      cassette: {
        name: 'Cassette 11 to 36',
        spec: { type: 'cassette', teeth: COGS, material: 'steel', soldSingly: [13, 15] },
      },
      ring: { name: 'Ring 38', spec: { type: 'ring', teeth: 38, material: 'steel' } },
      ...PULLEYS,
    },
  )
  let chain = ''
  let sinceLube = 0
  for (let day = 2; day < STORY_DAYS; day++) {
    const change = CHANGES.indexOf(day)
    if (change >= 0) {
      if (chain) retire(diary, day, chain)
      chain = `kite-chain-${change + 1}`
      diary.fitNew(day, 'kite', chain, `Chain ${change + 1}`, CHAIN)
      wash(diary, day, chain, 'none', 'dry-lube')
    }
    if (day % 7 < 6 && random.chance(0.9)) {
      const km = random.normal(10.5, 1.5)
      diary.write({
        kind: 'ride',
        at: diary.at(day, 5.2 + random.between(0, 0.5)),
        bike: 'kite',
        km: Math.round(km * 100) / 100,
        condition: roadToday(diary.at(day), random),
        energyKjPerKm: Math.round(random.normal(46, 4)),
      })
      sinceLube += km
    }
    if (sinceLube > 145 && random.chance(0.25)) {
      wash(diary, day, chain, 'wipe', 'dry-lube')
      sinceLube = 0
    }
    const age = day - Math.max(...CHANGES.filter((at) => at <= day))
    if (age > 0 && age % 75 === 0)
      diary.measure(day, chain, TRUTH, [
        { with: 'two-contact-limit', side: 0.75, place: 30 },
        { with: 'two-contact-scale', place: 80, slack: day > 600 },
      ])
  }
  diary.measure(STORY_DAYS - 12, chain, TRUTH, [
    { with: 'two-contact-limit', side: 0.75, place: 30 },
    { with: 'rule', place: 44 },
    { with: 'rule', place: 90 },
  ])
  picture(diary, STORY_DAYS - 400, 'kite-cassette', 'kite-15-before')
  picture(diary, STORY_DAYS - 12, 'kite-cassette', 'kite-15')
  look(diary, STORY_DAYS - 12, 'kite-cassette', {
    11: 'good',
    13: 'swap',
    15: 'swap',
    18: 'good',
    21: 'good',
    24: 'good',
  })
  // The tool finds nothing; the road did, when the third chain was new.
  underLoad(diary, 477, 'kite-cassette', 'ride', { 15: 'slipped' })
  underLoad(diary, 481, 'kite-cassette', 'ride', { 13: 'slipped', 15: 'slipped', 18: 'held', 21: 'held' })
  underLoad(diary, STORY_DAYS - 12, 'kite-cassette', 'tool', { 13: 'held', 15: 'held', 18: 'held' })
  look(diary, STORY_DAYS - 12, 'kite-ring', 'watch')
  look(diary, STORY_DAYS - 12, 'kite-tension', 'spent')
}

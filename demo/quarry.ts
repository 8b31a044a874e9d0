import { BUILDS } from './checks.ts'
import { hillsOn, deliver, look, plan, retire, ride, STORY_DAYS, wash } from './bikes.ts'
import type { Diary, TrueWear } from './diary.ts'
import type { Random } from '../src/core/stats/random.ts'
import { tracksToday } from './weather.ts'

const COGS = [10, 11, 12, 13, 15, 17, 19, 21, 24, 28, 32, 38]
const TRUTH: readonly TrueWear[] = [
  { rate: 0.12, start: 0 },
  { rate: 0.14, start: 0.01 },
  { rate: 0.11, start: -0.01 },
]
const ROTATION_KM = 260
/** Days on which a fresh set of three chains begins. */
const SETS = [4, 395]

/** A joining link is closed so often, and then a fresh one taken. */
const CLOSINGS = 5

/** A chain that was put on, and how often it had been on before. */
interface Join {
  readonly day: number
  readonly chain: string
  readonly times: number
}

/** Each chain has a joining link of its own; those of a set that is worn out go with it. */
function joinLinks(diary: Diary, joins: readonly Join[]): void {
  for (const [i, { day, chain, times }] of joins.entries()) {
    const link = `${chain}-link-${Math.floor(times / CLOSINGS) + 1}`
    if (times % CLOSINGS === 0)
      diary.write({
        kind: 'part',
        at: diary.at(day, 8.9),
        part: link,
        name: `Joining link of ${chain.slice(-2)}`,
        spec: { type: 'joining-link', speeds: 12, closingsAllowed: CLOSINGS, closedBefore: 0 },
      })
    diary.write({ kind: 'fit', at: diary.at(day, 9.1), part: link, bike: 'quarry' })
    // The last of its set: all three links are done with.
    if (joins[i + 1] && joins[i + 1]?.chain.at(-1) !== chain.at(-1))
      for (const letter of ['A', 'B', 'C'])
        retire(diary, joins[i + 1]?.day ?? day, `quarry-chain-${letter}${chain.at(-1)}-link-1`)
  }
}

/** Quarry, a gravel bike on limestone dust: three waxed chains in rotation, swapped when the wax is spent. */
export function quarry(diary: Diary, random: Random): void {
  deliver(
    diary,
    4,
    'quarry',
    {
      name: 'Quarry',
      note: 'gravel bike, 1 x 12, three waxed chains',
      speeds: 12,
      shifting: 'electric',
      motor: 'none',
      usualCondition: 'dry-gravel',
      usualByQuarter: { 'dec-feb': 'wet-gravel' },
      storage: 'indoors',
      ...BUILDS.quarry,
    },
    {
      cassette: { name: 'Cassette 10 to 38', spec: { type: 'cassette', teeth: COGS, material: 'steel' } },
      ring: { name: 'Ring 40', spec: { type: 'ring', teeth: 40, material: 'aluminium' } },
      guide: { name: 'Guide pulley', spec: { type: 'pulley', position: 'guide', teeth: 13 } },
      tension: { name: 'Tension pulley', spec: { type: 'pulley', position: 'tension', teeth: 13 } },
    },
  )
  let chains: string[] = []
  const joins: Join[] = []
  let turn = 0
  let km = Infinity
  for (let day = 4; day < STORY_DAYS; day++) {
    const set = SETS.indexOf(day)
    if (set >= 0) {
      for (const part of chains) retire(diary, day, part)
      chains = ['A', 'B', 'C'].map((letter) => `quarry-chain-${letter}${set + 1}`)
      for (const part of chains)
        diary.write({
          kind: 'part',
          at: diary.at(day, 8.8),
          part,
          name: `Chain ${part.slice(-2)}`,
          spec: { type: 'chain', links: 114, speeds: 12, past: 'new' },
        })
      turn = 0
      km = Infinity
    }
    if (km > ROTATION_KM) {
      const off = chains[(turn + 2) % 3] ?? ''
      const on = chains[turn % 3] ?? ''
      if (turn > 0) diary.write({ kind: 'remove', at: diary.at(day, 8.9), part: off, to: 'shelf' })
      wash(diary, day - 1, on, turn > 2 ? 'off-bike' : 'none', 'immersion-wax')
      diary.write({ kind: 'fit', at: diary.at(day, 9), part: on, bike: 'quarry' })
      joins.push({ day, chain: on, times: Math.floor(turn / 3) })
      turn++
      km = 0
    }
    const saturday = day % 7 === 5
    if (random.chance(saturday ? 0.75 : day % 7 === 2 ? 0.4 : 0.02)) {
      const distance = random.normal(saturday ? 58 : 27, 7)
      ride(diary, random, day, 'quarry', distance, tracksToday(diary.at(day), random), {
        steep: hillsOn(day, 13.5),
      })
      km += distance
    }
    if (day % 55 === 50) {
      const index = (turn - 1) % 3
      diary.measure(day, chains[index] ?? '', TRUTH[index] ?? { rate: 0.15, start: 0 }, [
        { with: 'three-contact-limit', side: 0.5, place: 20 },
        { with: 'three-contact-scale', place: 70 },
      ])
    }
  }
  look(diary, STORY_DAYS - 25, 'quarry-cassette', { 13: 'good', 15: 'good', 17: 'good', 19: 'fresh' })
  look(diary, STORY_DAYS - 25, 'quarry-ring', 'watch')
  joinLinks(diary, joins)
  plan(diary, 'quarry', { name: 'White road weekend', inDays: 19, days: 2, km: 180, condition: 'dry-gravel' })
}

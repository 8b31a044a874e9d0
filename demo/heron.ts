import { BUILDS } from './checks.ts'
import { routeKey } from '../src/core/exposure/ride-gears.ts'
import type { ChainSpec } from '../src/core/log/kinds/part.ts'
import type { RideEntry } from '../src/core/log/kinds/ride.ts'
import { hillsOn, deliver, look, plan, retire, ride, STORY_DAYS, wash } from './bikes.ts'
import type { Diary, TrueWear } from './diary.ts'
import type { Random } from '../src/core/stats/random.ts'
import { roadToday } from './weather.ts'

const CHAIN: ChainSpec = { type: 'chain', links: 116, speeds: 11, past: 'new' }
const COGS = [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42]
const CHANGES = [0, 196, 360, 545]
const TRUTH: readonly TrueWear[] = [
  { rate: 0.19, start: 0.01 },
  { rate: 0.165, start: -0.01 },
  { rate: 0.18, start: 0 },
  { rate: 0.15, start: 0.01 },
]

/** From this day a cadence sensor tells the gears. */
const SENSOR_DAY = 500
const DAY_NOT_SET = STORY_DAYS - 12
/** Where the riding goes: share of the energy by cog, swaying a little from day to day. */
const COG_SHARES: Readonly<Record<number, number>> = {
  11: 0.05,
  13: 0.27,
  15: 0.24,
  17: 0.16,
  19: 0.11,
  21: 0.08,
  24: 0.05,
  28: 0.03,
  32: 0.01,
}
const KJ_PER_KM = 25

/** What the sensor tells of a day's ride. */
function toldOf(
  day: number,
  km: number,
): Pick<RideEntry, 'place' | 'route' | 'gears' | 'recorded' | 'steep'> {
  if (day < SENSOR_DAY) return {}
  const sway = (cog: number): number => 1 + 0.35 * Math.sin(day * 1.7 + cog)
  const total = Object.entries(COG_SHARES).reduce((sum, [cog, share]) => sum + share * sway(Number(cog)), 0)
  const place = { lat: 44.05, lon: -29.4 }
  return {
    recorded: ['cadence'],
    steep: hillsOn(day, 9.5),
    place,
    route: routeKey(place, km),
    gears: Object.fromEntries(
      Object.entries(COG_SHARES).map(([cog, share]) => [
        `40x${cog}`,
        Math.round((10 * km * KJ_PER_KM * share * sway(Number(cog))) / total) / 10,
      ]),
    ),
  }
}

/** The joining links: the first went through three chains, the second came with the fourth. */
function joinLinks(diary: Diary): void {
  const link = (part: string, name: string) =>
    diary.write({
      kind: 'part',
      at: diary.at(0, 9),
      part,
      name,
      spec: { type: 'joining-link', speeds: 11, closingsAllowed: 4, closedBefore: 0 },
    })
  link('heron-link-1', 'Joining link 1')
  link('heron-link-2', 'Joining link 2')
  CHANGES.forEach((day, i) =>
    diary.write({
      kind: 'fit',
      at: diary.at(day, 9.2),
      part: i < 3 ? 'heron-link-1' : 'heron-link-2',
      bike: 'heron',
    }),
  )
}

/** The library's own gauge, named and zeroed on a chain out of its box. */
function nameBenchGauge(diary: Diary): void {
  diary.write(
    {
      kind: 'tool',
      at: diary.at(STORY_DAYS - 60),
      tool: 'bench-gauge',
      instrument: 'two-contact-scale',
      name: 'Bench gauge',
      retired: false,
    },
    ...[0.12, 0.15, 0.1].map((percent) => ({
      kind: 'zeroing' as const,
      at: diary.at(STORY_DAYS - 59),
      tool: 'bench-gauge',
      reading: { instrument: 'two-contact-scale' as const, percent },
    })),
  )
}

/** Heron, a steel all-weather commuter: two winters of salt, drip-lubed, four chains, 13 and 15 doing the work. */
export function heron(diary: Diary, random: Random): void {
  deliver(
    diary,
    0,
    'heron',
    {
      name: 'Heron',
      note: 'steel commuter, 1 x 11',
      speeds: 11,
      shifting: 'cable',
      motor: 'none',
      usualCondition: 'dry-road',
      storage: 'indoors',
      ...BUILDS.heron,
    },
    {
      cassette: { name: 'Cassette 11 to 42', spec: { type: 'cassette', teeth: COGS, material: 'steel' } },
      ring: { name: 'Ring 40', spec: { type: 'ring', teeth: 40, material: 'steel' } },
      guide: { name: 'Guide pulley', spec: { type: 'pulley', position: 'guide', teeth: 12 } },
      tension: { name: 'Tension pulley', spec: { type: 'pulley', position: 'tension', teeth: 12 } },
    },
  )
  let chain = ''
  let truth: TrueWear = { rate: 0.17, start: 0 }
  let sinceLube = 0
  for (let day = 0; day < STORY_DAYS; day++) {
    const change = CHANGES.indexOf(day)
    if (change >= 0) {
      if (chain) retire(diary, day, chain)
      chain = `heron-chain-${change + 1}`
      truth = TRUTH[change] ?? truth
      diary.fitNew(day, 'heron', chain, `Chain ${change + 1}`, CHAIN)
      wash(diary, day, chain, 'none', 'wet-lube')
    }
    const weekday = day % 7 < 5
    if (random.chance(weekday ? 0.78 : 0.15)) {
      const km = random.normal(weekday ? 14.6 : 24, 1.8)
      const road = roadToday(diary.at(day), random)
      // The last rides came off the sensor last night: nobody has said yet what they were ridden in.
      ride(diary, random, day, 'heron', km, day >= DAY_NOT_SET ? undefined : road, toldOf(day, km))
      sinceLube += km
    }
    if (sinceLube > 170 && random.chance(0.3)) {
      wash(diary, day, chain, random.chance(0.35) ? 'on-bike' : 'wipe', 'wet-lube')
      sinceLube = 0
    }
    const age = day - Math.max(...CHANGES.filter((at) => at <= day))
    if (age > 0 && age % 62 === 0)
      diary.measure(day, chain, truth, [
        { with: 'rule', place: 14 },
        { with: 'rule', place: 65 },
        { with: 'two-contact-limit', side: 0.5, place: 83 },
        { with: 'two-contact-limit', side: 0.75, place: 83 },
      ])
    if (day === STORY_DAYS - 9)
      diary.measure(day, chain, truth, [
        { with: 'caliper-pair', place: 21 },
        { with: 'rule', place: 60 },
        { with: 'two-contact-limit', side: 0.5, place: 60 },
      ])
  }
  nameBenchGauge(diary)
  joinLinks(diary)
  look(diary, 362, 'heron-cassette', { 13: 'good', 15: 'good', 17: 'fresh' })
  look(diary, STORY_DAYS - 40, 'heron-cassette', {
    11: 'good',
    13: 'watch',
    15: 'watch',
    17: 'good',
    19: 'good',
    21: 'fresh',
    24: 'fresh',
  })
  look(diary, STORY_DAYS - 40, 'heron-ring', 'good')
  look(diary, STORY_DAYS - 40, 'heron-guide', 'good')
  look(diary, STORY_DAYS - 40, 'heron-tension', 'watch')
  plan(diary, 'heron', { name: 'Saltings tour', inDays: 35, days: 9, km: 900, condition: 'wet-road' })
}

import { deliver, look, picture, ride, STORY_DAYS, underLoad } from './bikes.ts'
import type { Diary } from './diary.ts'
import type { Reading } from '../src/core/measure/reading.ts'
import type { Random } from '../src/core/stats/random.ts'

const COGS = [11, 12, 13, 14, 15, 17, 19, 21, 23, 25]

/** Plover, a second-hand road bike of unknown past, just in: it slips, and two instruments disagree about why. */
export function plover(diary: Diary, random: Random): void {
  const came = STORY_DAYS - 6
  deliver(
    diary,
    came,
    'plover',
    {
      name: 'Plover',
      note: 'second-hand road bike, 2 x 10, slips',
      speeds: 10,
      shifting: 'cable',
      motor: 'none',
      usualCondition: 'dry-road',
      storage: 'indoors',
    },
    {
      cassette: { name: 'Cassette 11 to 25', spec: { type: 'cassette', teeth: COGS, material: 'steel' } },
      'ring-small': { name: 'Ring 36', spec: { type: 'ring', teeth: 36, material: 'aluminium' } },
      'ring-large': { name: 'Ring 52', spec: { type: 'ring', teeth: 52, material: 'aluminium' } },
      guide: { name: 'Guide pulley', spec: { type: 'pulley', position: 'guide', teeth: 11 } },
      tension: { name: 'Tension pulley', spec: { type: 'pulley', position: 'tension', teeth: 11 } },
    },
  )
  diary.fitNew(came, 'plover', 'plover-chain-1', 'Chain as found', {
    type: 'chain',
    links: 110,
    speeds: 10,
    past: 'unknown',
  })
  ride(diary, random, came + 1, 'plover', 6.4, 'dry-road')
  // Worn rollers: a gauge that spreads them reads far more than a rule does.
  const readings: readonly (readonly [number, Reading])[] = [
    [24, { instrument: 'two-contact-scale', percent: 1 }],
    [70, { instrument: 'two-contact-scale', percent: 0.95 }],
    [24, { instrument: 'rule', pitches: 24, lengthMm: 306.5 }],
    [70, { instrument: 'rule', pitches: 24, lengthMm: 306 }],
    [50, { instrument: 'rule', pitches: 24, lengthMm: 306.5 }],
  ]
  readings.forEach(([place, reading], i) =>
    diary.write({
      kind: 'reading',
      at: diary.at(came + 1, 20 + i / 60),
      chain: 'plover-chain-1',
      linksFromJoint: place,
      reading,
    }),
  )
  look(diary, came + 2, 'plover-cassette', { 13: 'watch', 14: 'swap', 15: 'swap', 17: 'watch' })
  picture(diary, came + 1, 'plover-cassette', 'plover-14')
  underLoad(diary, came + 1, 'plover-cassette', 'ride', { 14: 'slipped', 15: 'slipped' })
  look(diary, came + 2, 'plover-ring-large', 'watch')
}

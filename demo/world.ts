import type { Entry } from '../src/core/log/entries.ts'
import { addDays } from '../src/core/units/days.ts'
import { heron } from './heron.ts'
import { checks } from './checks.ts'
import { lessons } from './lessons.ts'
import { kite } from './kite.ts'
import { openDiary } from './diary.ts'
import { faults } from './faults.ts'
import { plover } from './plover.ts'
import { quarry } from './quarry.ts'
import { STORY_DAYS } from './bikes.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import { shelf } from './shelf.ts'
import { sparrow } from './sparrow.ts'

/** The seed of the demo that ships. */
export const DEMO_SEED = 1807

/**
 * The bike library on the quay of Ostermere: five bikes, their shelf, and two years up to yesterday. All made up; the same seed
 * and day give the same story.
 * @param today ISO date or time; the story ends the day before
 */
export function demoWorld(today: string, seed: number = DEMO_SEED): Entry[] {
  const firstDay = addDays(`${today.slice(0, 10)}T00:00:00.000Z`, -STORY_DAYS).slice(0, 10)
  return [heron, quarry, kite, sparrow, plover, shelf, faults, checks, lessons]
    .flatMap((story, i) => {
      const random = seededRandom(seed + i)
      const diary = openDiary(firstDay, random)
      story(diary, random)
      return [...diary.entries]
    })
    .sort((a, b) => (a.id < b.id ? -1 : 1))
}

import type { Condition } from '../src/core/exposure/conditions.ts'
import type { Random } from '../src/core/stats/random.ts'

/** Ostermere's year: salt from December to February, most rain in autumn, dust in summer. */
export function roadToday(date: string, random: Random): Condition {
  const month = Number(date.slice(5, 7))
  const winter = month === 12 || month <= 2
  const autumn = month >= 9 && month <= 11
  if (winter) return random.chance(0.55) ? 'winter-salt' : random.chance(0.4) ? 'wet-road' : 'dry-road'
  return random.chance(autumn ? 0.4 : 0.2) ? 'wet-road' : 'dry-road'
}

/** The quarry tracks: dust in the dry, sand and paste in the wet, mud after a wet winter week. */
export function tracksToday(date: string, random: Random): Condition {
  switch (roadToday(date, random)) {
    case 'winter-salt':
      return random.chance(0.35) ? 'mud' : 'wet-gravel'
    case 'wet-road':
      return 'wet-gravel'
    default:
      return 'dry-gravel'
  }
}

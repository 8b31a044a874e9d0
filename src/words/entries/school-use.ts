import type { SchoolUseEntry } from '../../core/log/kinds/school-use.ts'
import { sayCount, sayList } from '../numbers.ts'
import type { KindWords } from './kind-words.ts'

/** How it is worded whether lessons are used. */
export const schoolUse: KindWords<SchoolUseEntry> = {
  name: 'use of the lessons',
  step: (count) => sayCount(count, 'useOfTheLessons'),
  say: ({ readings, looks }) => {
    const used = [readings && 'readings', looks && 'looks at teeth'].filter((one) => one !== false)
    return used.length > 0 ? `lessons are used for ${sayList(used)}` : 'lessons are not used'
  },
  fields: [],
}

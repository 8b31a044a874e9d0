import type { LessonEntry } from '../../core/log/kinds/lesson.ts'
import { STATIONS } from '../places.ts'
import { sayLesson } from '../school-words.ts'
import { sayCount } from '../numbers.ts'
import type { KindWords } from './kind-words.ts'

/** How a lesson is worded. */
export const lesson: KindWords<LessonEntry> = {
  name: 'lesson',
  step: (count) => sayCount(count, 'lesson'),
  say: ({ answer }) => sayLesson(answer),
  fields: [],
  writtenAt: { to: STATIONS.school.path, label: 'Practise reading a gauge' },
}

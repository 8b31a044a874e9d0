import type { LessonAnswer } from '../src/core/log/kinds/lesson.ts'
import type { Random } from '../src/core/stats/random.ts'
import { toothWord } from '../src/core/teeth/tooth-word.ts'
import { STORY_DAYS } from './bikes.ts'
import type { Diary } from './diary.ts'

/** The mechanic of the library reads the gauge a little high, and calls teeth worn a little early; it is measured, and not used yet. */
export function lessons(diary: Diary, random: Random): void {
  const hundredth = (value: number): number => Math.round(100 * value) / 100
  const write = (day: number, hour: number, answer: LessonAnswer): void =>
    diary.write({ kind: 'lesson', at: diary.at(STORY_DAYS - day, hour), answer })
  ;[40, 39, 36, 30, 21, 9].forEach((day, i) => {
    const truth = hundredth(random.between(0.1, 0.9))
    const right = hundredth(truth + 0.1)
    write(day, 20, {
      about: 'gauge',
      instrument: 'two-contact-scale',
      truth,
      right,
      read: hundredth(right + 0.05 + random.normal(0, 0.04)),
      slips: i === 0 ? ['slack'] : [],
    })
  })
  for (const day of [38, 37, 33, 24, 12]) {
    const truth = hundredth(random.between(0, 1))
    write(day, 20.2, { about: 'teeth', truth, word: toothWord(truth + 0.08 + random.normal(0, 0.12)) })
  }
  write(35, 20.3, { about: 'swap', best: 'swap-now', chose: 'ride-on', lostShare: 0.08 })
}

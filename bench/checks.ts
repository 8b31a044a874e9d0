import { ITEM_IDS } from '../src/core/checks/items.ts'
import { pickWithin } from '../src/core/checks/pick.ts'
import { sayWearing, type WearingLife } from '../src/core/checks/wearing.ts'
import { WEARING_LAWS } from '../src/core/checks/wearing-parts.ts'
import type { LessonAnswer } from '../src/core/log/kinds/lesson.ts'
import { eyeOf, readerOf } from '../src/core/school/rider-skill.ts'
import { madeUpSkip, skipFutures } from '../src/core/school/skip-lesson.ts'
import { madeUpSwap, swapOutcomes } from '../src/core/school/swap-lesson.ts'
import { toothWord } from '../src/core/teeth/tooth-word.ts'

interface Timed {
  readonly median: number
  readonly worst: number
}

const ms = (value: number): string => `${value.toFixed(1)} ms`

/** Figures of the checks and of School. */
export function checkFigures(time: (work: () => unknown) => Timed) {
  const life = (per1000: number): WearingLife => ({
    past: 'new',
    readings: [500, 1000, 1500].map((wearKm) => ({
      wearKm,
      mm: 4.2 - (per1000 * wearKm) / 1000,
      by: 'caliper',
      unsureWearKm: 50,
    })),
  })
  const lives = [life(0.5), life(0.6), life(0.4)]
  const lessons = Array.from({ length: 60 }, (_, i): LessonAnswer => {
    const truth = (i * 0.37) % 1
    return { about: 'teeth', truth, word: toothWord(truth + 0.05) }
  })
  const read = Array.from({ length: 60 }, (_, i): LessonAnswer => {
    const truth = (i * 0.37) % 1
    return { about: 'gauge', instrument: 'rule', truth, right: truth, read: truth + 0.05, slips: [] }
  })
  const line = (what: string, goal: string, work: () => unknown) => {
    const { median, worst } = time(work)
    return { what, median: ms(median), worst: ms(worst), goal }
  }
  return [
    line('pads of a third life: rate, interval, when to look', 'under 50 ms', () =>
      sayWearing(WEARING_LAWS.pads, lives, { wearKm: 1800, unsureWearKm: 60 }, 1.4),
    ),
    line('“I have 30 minutes”: the set of checks worth most, exactly', 'under 10 ms', () =>
      pickWithin(ITEM_IDS, 30, () => ({ days: 40, km: 300 })),
    ),
    line('a rider’s own error from 60 readings', 'under 20 ms', () => readerOf('rule', read)),
    line('a rider’s own eye from 60 words', 'under 200 ms', () => eyeOf(lessons)),
    line('a story of skipping with its hundred futures', 'under 100 ms', () => skipFutures(madeUpSkip(7))),
    line('a story of swapping: three choices, a hundred lives each', 'under 100 ms', () =>
      swapOutcomes(madeUpSwap(7)),
    ),
  ]
}

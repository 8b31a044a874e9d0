import type { Diary } from './diary.ts'
import { STORY_DAYS } from './bikes.ts'

/** A fall and what came of it, and gears that somebody thought about. */
export function faults(diary: Diary): void {
  const fell = STORY_DAYS - 210
  const found = {
    kind: 'fault',
    fault: 'heron-fault-1',
    bike: 'heron',
    about: 'shifting',
    answers: [
      { finding: 'jumps', said: ['yes'] },
      { finding: 'load', said: ['light-too'] },
      { finding: 'pulley-line', said: ['slanted'] },
    ],
    found: ['bent-hanger'],
    outcome: 'mended',
  } as const
  diary.write({ kind: 'mishap', at: diary.at(fell, 9), bike: 'heron', what: 'crash' })
  diary.write({ ...found, at: diary.at(fell, 18) })
  diary.write({ ...found, at: diary.at(fell + 3, 18), afterwards: 'gone' })
  diary.write({
    kind: 'gearing',
    at: diary.at(STORY_DAYS - 9, 20),
    bike: 'quarry',
    powerW: 165,
    chainstayMm: 430,
    whatIfs: [
      { name: '42 × 10–38', rings: [42], cogs: [10, 11, 12, 13, 15, 17, 19, 21, 24, 28, 32, 38] },
      { name: '40 × 10–50', rings: [40], cogs: [10, 12, 14, 16, 18, 21, 24, 28, 32, 36, 42, 50] },
    ],
  })
}

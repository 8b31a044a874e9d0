import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs'
import type { IsoTime } from '../../core/log/entry.ts'
import type { Garage } from '../../core/log/garage.ts'
import type { LessonAnswer, LessonEntry } from '../../core/log/kinds/lesson.ts'
import { LESSON_INSTRUMENTS, type LessonInstrument } from '../../core/school/gauge-lesson.ts'
import { noiseOf } from '../../core/school/rider-skill.ts'
import { toothWord, TOOTH_WORDS } from '../../core/teeth/tooth-word.ts'

/** What can be practised: an instrument, teeth, or one of the two kinds of story. */
export type Skill = `gauge ${LessonInstrument}` | 'teeth' | 'skip' | 'swap'

export const SKILLS: readonly Skill[] = [
  ...LESSON_INSTRUMENTS.map((instrument): Skill => `gauge ${instrument}`),
  'teeth',
  'skip',
  'swap',
]

/** The instrument of a skill; undefined for teeth and stories. */
export const instrumentOf = (skill: Skill): LessonInstrument | undefined =>
  LESSON_INSTRUMENTS.find((instrument) => skill === `gauge ${instrument}`)

/** No dice: the same lessons give the same day. */
const scheduler = fsrs({ enable_fuzz: false, enable_short_term: false })

/** A chance this near to even is a story that nobody can be blamed for. */
const NEAR_EVEN = 0.15

/** How well a lesson went, in the schedule's terms. */
export function gradeOf(answer: LessonAnswer): Grade {
  switch (answer.about) {
    case 'gauge': {
      if (answer.slips.length > 0) return Rating.Again
      if (answer.read === undefined) return Rating.Good
      const sd = noiseOf(answer.instrument)
      const off = Math.abs(answer.read - answer.right)
      return off < sd / 2 ? Rating.Easy : off < sd ? Rating.Good : Rating.Hard
    }
    case 'teeth': {
      const apart = Math.abs(TOOTH_WORDS.indexOf(answer.word) - TOOTH_WORDS.indexOf(toothWord(answer.truth)))
      return apart === 0 ? Rating.Good : apart === 1 ? Rating.Hard : Rating.Again
    }
    case 'skip':
      return Math.abs(answer.p - 0.5) < NEAR_EVEN || answer.saidSkips === answer.p >= 0.5
        ? Rating.Good
        : Rating.Again
    case 'swap':
      return answer.lostShare < 0.03 ? Rating.Good : answer.lostShare < 0.15 ? Rating.Hard : Rating.Again
  }
}

/** When a skill is due again, after its lessons: a kept library's schedule, replayed over them. */
export function dueAfter(lessons: readonly LessonEntry[]): IsoTime | undefined {
  const [first] = lessons
  if (!first) return undefined
  let card: Card = createEmptyCard(new Date(first.at))
  for (const { at, answer } of lessons) card = scheduler.next(card, new Date(at), gradeOf(answer)).card
  return card.due.toISOString()
}

/** A skill, how often it was practised, and when it is due. */
export interface SkillDue {
  readonly skill: Skill
  readonly lessons: number
  /** Absent: never practised. */
  readonly due?: IsoTime
  readonly isDue: boolean
}

/**
 * The skills of a rider: of the instruments only those that they read with, where any are known. Due ones first, the longest due before
 * the others; then what was never practised; then what comes later.
 */
export function skillsOf(garage: Garage, now: IsoTime): readonly SkillDue[] {
  // Those in the log as tools, and those that were ever read without one.
  const owned = new Set([
    ...[...garage.tools.values()].flatMap(({ entry }) => (entry.retired ? [] : entry.instrument)),
    ...[...garage.readings.values()].flat().map(({ entry }) => entry.reading.instrument),
  ])
  const mine = SKILLS.filter((skill) => {
    const instrument = instrumentOf(skill)
    return (
      instrument === undefined || owned.size === 0 || owned.has(instrument) || garage.listed.lesson.has(skill)
    )
  })
  const place = ({ due, isDue }: SkillDue): string => (isDue && due ? `0 ${due}` : due ? `2 ${due}` : '1')
  return mine
    .map((skill): SkillDue => {
      const lessons = garage.listed.lesson.get(skill) ?? []
      const due = dueAfter(lessons)
      return { skill, lessons: lessons.length, ...(due && { due }), isDue: due !== undefined && due <= now }
    })
    .sort((a, b) => place(a).localeCompare(place(b)))
}

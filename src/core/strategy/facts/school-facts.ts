import type { Garage } from '../../log/garage.ts'
import type { LessonAnswer, LessonEntry } from '../../log/kinds/lesson.ts'
import { INSTRUMENTS } from '../../measure/instruments.ts'
import type { Instrument } from '../../measure/reading.ts'
import type { OwnError } from '../../school/own-error.ts'
import { eyeOf, ownEye, ownReading, readerOf, type OwnReading } from '../../school/rider-skill.ts'

const INSTRUMENT_LIST = Object.keys(INSTRUMENTS) as Instrument[]

/** Older lessons than so many of one kind tell of somebody who has learned since. */
const LAST_LESSONS = 60

/** The last lessons under a key, in order of time. */
const lessonsOf = (garage: Garage, key: string): readonly LessonEntry[] =>
  (garage.listed.lesson.get(key) ?? []).slice(-LAST_LESSONS)

const held = new Map<string, { readonly lessons: string; readonly value: OwnError }>()

/** Worked out once for the same lessons. */
function once(garage: Garage, key: string, make: (answers: readonly LessonAnswer[]) => OwnError): OwnError {
  const list = lessonsOf(garage, key)
  const lessons = list.map(({ id }) => id).join(' ')
  const before = held.get(key)
  if (before?.lessons === lessons) return before.value
  const value = make(list.map(({ answer }) => answer))
  held.set(key, { lessons, value })
  return value
}

/** What the lessons say of how an instrument is read, used or not. */
export const readerIn = (garage: Garage, instrument: Instrument): OwnError =>
  once(garage, `gauge ${instrument}`, (answers) => readerOf(instrument, answers))

/** What the lessons say of how teeth are graded, used or not. */
export const eyeIn = (garage: Garage): OwnError => once(garage, 'teeth', eyeOf)

/** Whether the rider lets their lessons be used. */
export function schoolUse(garage: Garage): { readonly readings: boolean; readonly looks: boolean } {
  const last = garage.listed['school-use'].get('school')?.at(-1)
  return { readings: last?.readings === true, looks: last?.looks === true }
}

/** How the rider reads each instrument, where lessons tell and may be used (methods 2). */
export function ownReadings(garage: Garage): ReadonlyMap<Instrument, OwnReading> {
  if (!schoolUse(garage).readings) return new Map()
  return new Map(
    INSTRUMENT_LIST.flatMap((instrument) => {
      const own = ownReading(instrument, readerIn(garage, instrument))
      return own ? [[instrument, own] as const] : []
    }),
  )
}

/** The rider's own eye for teeth, where lessons tell and may be used (methods 5). */
export const ownEyeOf = (garage: Garage) => (schoolUse(garage).looks ? ownEye(eyeIn(garage)) : undefined)

import { array, number, object, string } from 'yup'
import { BOUNDS } from '../../core/log/bounds.ts'
import { JOB_OUTCOMES, VISIT_BOUNDS } from '../../core/log/kinds/visit.ts'
import { amount, entry, flag, line, oneOf, thingId, time, whole } from './checks.ts'
import { words } from '../../words/formats/entries/visit.ts'

const ids = () => array(thingId()).strict().max(VISIT_BOUNDS.jobs).optional()
const lines = () => array(line(BOUNDS.noteLetters).min(1)).strict().max(VISIT_BOUNDS.lines).optional()

const job = object({
  id: thingId(),
  name: line(BOUNDS.nameLetters).min(1),
  isSafety: flag().required(),
  price: whole(0, VISIT_BOUNDS.minor),
  minutes: amount(VISIT_BOUNDS.minutes),
  worth: amount(VISIT_BOUNDS.worth),
  isOut: flag().optional(),
  needs: ids(),
  needsOneOf: array(array(thingId()).strict().required().min(1).max(VISIT_BOUNDS.jobs))
    .strict()
    .max(VISIT_BOUNDS.jobs)
    .optional(),
  excludes: ids(),
  found: line(BOUNDS.noteLetters).optional(),
  outcome: oneOf(JOB_OUTCOMES),
  why: line(BOUNDS.noteLetters).optional(),
  byKm: number().strict().min(0).max(VISIT_BOUNDS.byKm).optional(),
  byDay: time().optional().default(undefined),
}).noUnknown()

/** The fields of a visit. */
export const visitSchema = entry('visit', {
  visit: thingId(),
  bike: thingId(),
  currency: string()
    .strict()
    .required()
    .matches(/^[A-Z]{3}$/, words.currencyMustBeThree),
  sum: whole(0, VISIT_BOUNDS.minor),
  hour: whole(0, VISIT_BOUNDS.minor),
  safetyTimes: number().strict().required().min(VISIT_BOUNDS.safetyTimes[0]).max(VISIT_BOUNDS.safetyTimes[1]),
  jobs: array(job.required()).strict().required().max(VISIT_BOUNDS.jobs),
  found: lines(),
  expect: lines(),
  cautions: lines(),
  isClosed: flag().optional(),
})

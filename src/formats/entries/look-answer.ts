import { entry, thingId, time } from './checks.ts'

/** The fields of the answer that a look is right and the log complete. */
export const lookAnswerSchema = entry('look-answer', { chain: thingId(), until: time().required() })

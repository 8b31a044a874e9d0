import { entry, entryId, flag } from './checks.ts'

/** The fields of a word on whether a reading counts. */
export const readingUseSchema = entry('reading-use', { target: entryId(), counts: flag().required() })

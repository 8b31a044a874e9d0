import { entry, flag } from './checks.ts'

/** The fields of whether lessons are used. */
export const schoolUseSchema = entry('school-use', { readings: flag().required(), looks: flag().required() })

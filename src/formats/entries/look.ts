import { entry, thingId, oneOf, teeth, whole } from './checks.ts'

const WORDS = ['fresh', 'good', 'watch', 'swap', 'spent'] as const

/** The fields of a look. */
export const lookSchema = entry('look', {
  part: thingId(),
  cog: teeth().optional(),
  word: oneOf(WORDS),
  worstFromCrankDeg: whole(0, 359).optional(),
})

import { entry, oneOf, teeth, thingId } from './checks.ts'

/** The fields of a test of a cog. */
export const cogTestSchema = entry('cog-test', {
  part: thingId(),
  cog: teeth(),
  by: oneOf(['tool', 'ride'] as const),
  result: oneOf(['held', 'slipped'] as const),
})

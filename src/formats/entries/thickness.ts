import { THICKNESS_TOOLS, WEARING_PARTS } from '../../core/checks/wearing-parts.ts'
import { THICKNESS_BOUNDS } from '../../core/log/kinds/thickness.ts'
import { amount, entry, flag, maybeOneOf, oneOf, thingId } from './checks.ts'

/** The fields of something that wears, measured or fitted new. */
export const thicknessSchema = entry('thickness', {
  bike: thingId(),
  part: oneOf(WEARING_PARTS),
  isNew: flag().oneOf([true]).optional(),
  mm: amount(THICKNESS_BOUNDS.mm).optional(),
  limitMm: amount(THICKNESS_BOUNDS.mm).optional(),
  by: maybeOneOf(THICKNESS_TOOLS),
  isDry: flag().optional(),
})

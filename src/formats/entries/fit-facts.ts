import { array, number, object } from 'yup'
import { FIT_BOUNDS } from '../../core/log/fit-facts.ts'
import { line, maybe, teeth, whole } from './checks.ts'

const mm = () => number().strict().min(FIT_BOUNDS.mm[0]).max(FIT_BOUNDS.mm[1]).optional()
const words = () => line(FIT_BOUNDS.words).optional()

/** What decides whether a part goes on a bike. */
export const fitFacts = () =>
  maybe(
    object({
      speeds: whole(...FIT_BOUNDS.speeds).optional(),
      pitchMm: mm(),
      innerWidthMm: mm(),
      spacingMm: mm(),
      freehub: words(),
      boltCircleMm: mm(),
      bolts: whole(...FIT_BOUNDS.bolts).optional(),
      teeth: array(teeth()).strict().max(16).optional(),
      capacityTeeth: whole(...FIT_BOUNDS.capacityTeeth).optional(),
      largestCog: whole(...FIT_BOUNDS.teeth).optional(),
      linkKind: words(),
    }),
  )

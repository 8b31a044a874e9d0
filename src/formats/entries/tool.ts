import { number } from 'yup'
import { BOUNDS } from '../../core/log/bounds.ts'
import { CHECK_BAR_MM } from '../../core/log/kinds/tool.ts'
import { INSTRUMENTS } from '../../core/measure/instruments.ts'
import { entry, thingId, line, flag, oneOf } from './checks.ts'

/** The fields of a tool. */
export const toolSchema = entry('tool', {
  tool: thingId(),
  instrument: oneOf(Object.keys(INSTRUMENTS)),
  name: line(BOUNDS.nameLetters).min(1),
  retired: flag().required(),
  checkBarMm: number().strict().min(CHECK_BAR_MM[0]).max(CHECK_BAR_MM[1]).optional(),
})

import { CONDITIONS } from '../../core/exposure/conditions.ts'
import { entry, oneOf, targets } from './checks.ts'

/** The fields of a condition. */
export const conditionSchema = entry('condition', {
  targets: targets(),
  condition: oneOf(CONDITIONS),
  from: oneOf(['rider', 'weather', 'usual']),
})

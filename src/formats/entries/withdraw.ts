import { entry, maybeOneOf, targets } from './checks.ts'

/** The fields of a withdraw. */
export const withdrawSchema = entry('withdraw', {
  targets: targets(),
  reason: maybeOneOf(['undo', 'redo', 'restore']),
})

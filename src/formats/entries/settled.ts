import { entry, targets } from './checks.ts'

/** The fields of the answer that contradicting entries all happened. */
export const settledSchema = entry('settled', { targets: targets() })

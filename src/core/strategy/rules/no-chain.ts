import type { Rule } from './rule.ts'

/** A bike whose chain nobody has entered: of that nothing can be said. */
export const noChain: Rule = ({ chain }) =>
  chain
    ? undefined
    : { action: 'describe-chain', word: 'unsure', reasons: [{ kind: 'no-chain' }], cautions: [] }

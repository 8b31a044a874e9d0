/** The words of Turns. */
export const words = {
  /** A side that does something, or any reading at all, is said after a colon. */
  reads: (tool: string, turn: string) =>
    /^(the|whatever)/.test(turn) ? `${tool}: ${turn}` : `${tool} reads ${turn}`,
  asNow: ', as now',
  whatWouldChangeThis: 'What would change this',
  eachTriedWithAll: 'Each tried with all that is known; on the right how likely it is.',
  theNextReadingIsTried: (tool: string) =>
    ` The next reading is tried with a tool that has not read this chain yet: ${tool}.`,
  tryingTheNextReading: 'Trying the next reading…',
  aTool: 'a tool',
  aTourOfOver: (aboutKm: string) => `a tour of over ${aboutKm} is next`,
  swapTheChainBefore: 'swap the chain before it',
  aTourOfToIsNext: (aboutKm: string, aboutKm2: string) => `a tour of ${aboutKm} to ${aboutKm2} is next`,
  measureBeforeIt: 'measure before it',
  twoInstrumentsDisagreeWhat:
    'Two instruments disagree: what the next reading would do is not known until that is settled.',
  first: 'First',
  answerTheOpenQuestion: 'answer the open question',
  whatTheNextReading: ': what the next reading would do depends on it.',
  another: 'Another',
  limit: 'limit',
  thanWouldChangeItToo: (limit: string) =>
    `than ${limit}\u00a0% would change it too. The maker’s limits and instructions come before anything said here.`,
}

/** The words of Decide. */
export const words = {
  noPlanThatYou: 'No plan that you would put up with is cheaper.',
  cheapestLess: (name: string, money: string) => `Cheapest: ${name}, ${money} less.`,
  youAreOnThePlan: (name: string, money: string, distance: string, phrase: string) =>
    `You are on the plan “${name}”: about ${money} per ${distance}. ${phrase}`,
  why: 'Why',
  itSlipsOrSkips: 'It slips or skips, and this does not explain it? Find the fault.',
  beingUpdatedWithWhat: 'Being updated with what was added. ',
  confidence: (chance: string) => `Confidence: ${chance}.`,
  theChainIsAtProbably: (phrase: string, figure: string, figure2: string, figure3: string, phrase2: string) =>
    `${phrase}The chain is at ${figure}\u00a0%, probably ${figure2} to ${figure3}. ${phrase2}`,
  theWaySoFar: 'The way so far, and ahead',
  addOneAndMeasure: 'Add one and measure its chain. This page then says what to do.',
  workingOutSChain: (name: string) => `Working out ${name}’s chain…`,
  layingOutTheJobs: 'Laying out the jobs…',
}

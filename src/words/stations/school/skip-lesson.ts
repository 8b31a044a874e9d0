/** The words of SkipLesson. */
export const words = {
  ofHardPushesSkipped: (count: number, count2: number) => `Of ${count} hard pushes ${count2} skipped.`,
  willItSkipOnTheUnder: (cog: number) => `Will it skip on the ${cog} under a hard push?`,
  oneChainRanOnThese: (figure: string) => `One chain ran on these cogs, and came off at ${figure} %.`,
  chainsRanOnThese: (chains: number, figure: string) =>
    `${chains} chains ran on these cogs; the last came off at ${figure} %.`,
  theTeethOfTheTheCog: (cog: number, look: string) =>
    `The teeth of the ${cog}, the cog that is ridden most, look ${look} by eye.`,
  good: 'good',
  wornOut: 'worn out',
  theCogCheckTool: (phrase: string) => `The cog-check tool says ${phrase}.`,
  youWantToFit: 'You want to fit a new chain.',
  youWantToFitA: (figure: string) => `You want to fit a chain from the hook; it reads ${figure} %.`,
  aCassetteCosts: (cassette: number) => `A cassette costs ${cassette}.`,
  itSkipsNewCogs: 'It skips: new cogs with it',
  itHoldsFitTheChain: 'It holds: fit the chain alone',
  backToSchool: 'Back to School',
  itSkippedInOf100: (count: number, chance: string) =>
    `It skipped in ${count} of 100 futures. The app says: ${chance}.`,
  newCogs: 'new cogs',
  theChainAlone: 'the chain alone',
  yourChoiceCostsOnAverage: (costOf: string, phrase: string, costOf2: string) =>
    `Your choice costs ${costOf} on average; the app’s, ${phrase}, ${costOf2}.`,
  andIn100Found: (count: string) => `And ${count} in 100 found out by a slip.`,
  teethFollowALong:
    'Teeth follow a long chain slowly. What counts is how far they are ahead of the next chain: a used chain may still run where a new one skips.',
  aSlipThrowsAKnee: 'A slip throws a knee into the bar. Never find out by standing on the pedals.',
  anotherOne: 'Another one',
  enoughForNow: 'Enough for now',
}

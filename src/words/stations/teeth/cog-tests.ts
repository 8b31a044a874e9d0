/** The words of CogTests. */
export const words = {
  aLookAtIt: 'a look at it',
  theCogCheckTool: 'the cog-check tool',
  aHardPushWithAFresh: 'a hard push with a fresh chain',
  theToolPassedItAndThe:
    'The tool passed it, and the chain skipped on the road. The ride counts more: the tool misses 4 in 10 bad cogs.',
  theToolCondemnedItAndIt:
    'The tool condemned it, and it held on the road. The ride counts more: the tool condemns 1 in 20 good cogs.',
  theChanceToBe: (chance: string) => `The chance to be wrong about a fresh chain on this cog is ${chance}`,
  noOneTestWould: (wrong: string) => `${wrong}. No one test would tell much more.`,
  after: (chance: string, test: string) => `${chance} after ${test}`,
  passed: 'passed',
  condemned: 'condemned',
  cogTheToolIt: (teeth: number, phrase: string) => `Cog ${teeth}: the tool ${phrase} it.`,
  held: 'held',
  skipped: 'skipped',
  cogTheChainOnIt: (teeth: number, phrase: string) => `Cog ${teeth}: the chain ${phrase} on it.`,
  underLoad: 'Under load',
  itSkippedOnARide: 'It skipped on a ride',
  theToolPassedIt: 'The tool passed it',
  theToolCondemnedIt: 'The tool condemned it',
  roadTestsAreNot: 'Road tests are not offered.',
  offerThemAgain: 'Offer them again',
  lastOfAllATest: 'Last of all: a test on the road',
  aSkipThrowsYour:
    'A skip throws your knee into the bar. Only seated, slowly, on clear ground; never standing. You never need this test: leave it out if you like.',
  itHeldUnderAHard: 'It held under a hard push',
  neverOfferThisAgain: 'Never offer this again',
}

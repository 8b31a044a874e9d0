/** The words of Wash. */
export const words = {
  onThisChainSo: 'On this chain so far',
  nothingIsLoggedYet: 'Nothing is logged yet.',
  at: (km: string) => `at ${km}`,
  thisChainIsToBe: 'This chain is to be swapped: clean cogs and rings, and put the lube on the next one.',
  seeWhy: 'See why',
  lube: 'lube',
  beginsOnPutFresh: (name: string, day: string, km: string, phrase: string) =>
    `${name} begins on ${day}, ${km}: put fresh ${phrase} on the evening before.`,
  theLastRideWas: ' The last ride was wet: dry the chain today.',
  planTheWash: 'Plan the wash',
  addOneAndSay: 'Add one, and say what was put on its chain; the clock runs from there.',
  aWashOfIsGoing: (bikes: string) =>
    `A wash of ${bikes} is going on. Go back to it with that bike; a new one takes its place.`,
  forgetIt: 'Forget it',
}

/** The words of Miles. */
export const words = {
  hasNoRidesInTheLog: (name: string) => `${name} has no rides in the log yet.`,
  hasDone: (name: string) => `${name} has done`,
  ofItOnThisChain: 'of it on this chain',
  inTheLastFour: (km: string, aboutKm: string) =>
    `${km} in the last four weeks; about ${aboutKm} a week lately.`,
  addOneAndThen: 'Add one, and then drop its recorded rides in here.',
  theChainWasFitted: (day: string) => `The chain was fitted on ${day}.`,
  addRides: 'Add rides',
  or: 'or',
  sort: (count: string) => `sort ${count}`,
  measureIt: 'measure it',
}

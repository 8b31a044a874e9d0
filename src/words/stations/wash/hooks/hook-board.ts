/** The words of HookBoard. */
export const words = {
  itIsTheLeast: 'It is the least worn, so the set wears evenly.',
  wetRoadsAheadTheMost: 'Wet roads ahead: the most worn has least to lose.',
  itIsTheOnly: 'It is the only one that is ready.',
  whatIsOnIsUsed: (onName: string) => `what is on ${onName} is used up then`,
  isThenAheadOfTheOthers: (onName: string) =>
    `${onName} is then ahead of the others by half of what a set may be apart`,
  itsTurnIsOver: 'its turn is over then',
  swapNowWhatIsOnIs: (onName: string) => `Swap now: what is on ${onName} is used up.`,
  swapNowIsAhead: (onName: string) => `Swap now: ${onName} is ahead of the others.`,
  swapNowTheTurn: (onName: string) => `Swap now: the turn of ${onName} is over.`,
  probablyTo: (aboutKm: string, aboutKm2: string) => `, probably ${aboutKm} to ${aboutKm2}`,
  swapInAbout: (aboutKm: string, spread: string, because: string) =>
    `Swap in about ${aboutKm}${spread}: ${because}.`,
  theSetIsApart: (percent: string, percent2: string) =>
    `The set is ${percent} apart, more than the ${percent2} that keeps the cogs even: ride the least worn for a while.`,
  theSetIsWithin: (percent: string) => `The set is within ${percent}.`,
  togetherTheyGoAbout: (aboutKm: string, aboutKm2: string, aboutKm3: string) =>
    `Together they go about ${aboutKm} more, probably ${aboutKm2} to ${aboutKm3}.`,
  chainsTakeTurnsSo: 'Chains take turns so that they wear evenly.',
  chainsTakeTurnsEvery: (km: string) => `Chains take turns every ${km}.`,
  chainsTakeTurns: 'Chains take turns',
  soThatTheyWear: 'so that they wear evenly',
  every: (km: string) => `every ${km}`,
  nextOn: (name: string) => `Next on: ${name}`,
  chainsInTurn: 'Chains in turn',
  noneOfTheOthers: 'None of the others is ready: wax them before the next swap.',
  chainsOnTheirHooks: 'Chains on their hooks',
  swapTheChain: 'Swap the chain',
}

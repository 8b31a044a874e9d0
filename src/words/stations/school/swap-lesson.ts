/** The words of SwapLesson. */
export const words = {
  toPer1000Km: (choice: string, mean: string) => `To ${choice}: ${mean} per 1000 km on average`,
  yours: 'yours',
  theApps: 'the app’s',
  per1000Km: (low: string) => `${low} per 1000 km`,
  swapOrRideOn: 'Swap or ride on?',
  theChainReadsProbably: (percent: string, figure: string, figure2: string, limit: string) =>
    `The chain reads ${percent}, probably ${figure} to ${figure2}. The limit is ${limit} %.`,
  itIsTheFirst: 'It is the first chain on these cogs.',
  ranOnTheseCogs: (count: string) => `${count} ran on these cogs before it.`,
  theirTeethHaveProbably: (phrase: string, figure: string) =>
    `${phrase} Their teeth have probably shaped themselves to ${figure} %.`,
  aChainCostsACassette: (
    chainPrice: number,
    cassettePrice: number,
    figure: string,
    km: string,
    phrase: string,
  ) =>
    `A chain costs ${chainPrice}, a cassette ${cassettePrice}. Chains wear ${figure} % in ${km} here${phrase}.`,
  backToSchool: 'Back to School',
  theAppDoesTheSame: (mean: string) => `The app does the same: ${mean} per 1000 km on average.`,
  yoursPer1000Km: (mean: string, choice: string, mean2: string) =>
    `Yours: ${mean} per 1000 km. The app’s, to ${choice}: ${mean2}.`,
  theTwoAreNearly: ' The two are nearly the same.',
  hardPushesThatSkip: (outcomes: string, whyBest: string) =>
    `Hard pushes that skip, per 1000 km: ${outcomes}. ${whyBest}`,
  anotherOne: 'Another one',
  enoughForNow: 'Enough for now',
  earlyIsCheapWhere:
    'Early is cheap where the cassette is dear and its teeth have not followed the chain yet.',
  whatIsLeftOfTheChain: 'What is left of the chain is worth riding, and the teeth follow it slowly.',
  lateIsRightWhere:
    'Late is right where the cogs are cheap, or have gone with the chain already: then all of it is bought at once.',
}

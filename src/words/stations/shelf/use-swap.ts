/** The words of use-swap. */
export const words = {
  asItCame: 'as it came',
  countTheLinks: 'Count the links.',
  howOftenMayTheJoining: 'How often may the joining link be closed? 1 for single use.',
  readTheLength: 'Read the length.',
  whatDidItCost: 'What did it cost?',
  theChainOnItWas: (day: string) => `The chain on it was fitted on ${day}: that day is before it.`,
  itsBike: 'its bike',
  wentOntoOnThatDay: (name: string, name2: string, day: string) =>
    `${name} went onto ${name2} on ${day}: that day is before it.`,
  wouldBe: (first: string) => `would be ${first} %`,
  isNoLength: 'is no length',
  over24PitchesThatRead: (phrase: string) =>
    `Over 24 pitches that ${phrase}. Read it again, or leave it out.`,
  hasAnotherChain: (name: string) => `${name} has another chain.`,
  anotherBike: 'another bike',
}

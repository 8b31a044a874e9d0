/** The words of TakeReading. */
export const words = {
  with: 'With',
  theChainWasFitted: (first: string) => `The chain was fitted on ${first}: that day is before it.`,
  thisVeryReadingIsInThe: 'This very reading is in the log already. Press again to save it as a second one.',
  noted: (count: string) => `${count} noted.`,
  read: (figure: string) => `Read: ${figure} %.`,
  takeAReading: 'Take a reading',
  linksFromTheJoining: 'Links from the joining link',
  day: 'Day',
  theRunYouRead: 'The run you read',
  tightBigRingBig: 'tight: big ring, big cog',
  keepFingersAndLoose: 'Keep fingers and loose sleeves out of a turning cassette.',
  saveTheReading: 'Save the reading',
  slack: 'slack',
}

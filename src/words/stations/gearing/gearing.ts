/** The words of Gearing. */
export const words = {
  itCostsAboutAs: ' It costs about as much per 1000 km.',
  less: 'less',
  more: 'more',
  per1000KmItCosts: (aboutMoney: string, phrase: string) =>
    ` Per 1000 km it costs about ${aboutMoney} ${phrase}.`,
  onTheHillInPlace: (rpm: string, rpm2: string, cost: string) =>
    `On the hill ${rpm} in place of ${rpm2} in the easiest gear.${cost}`,
  addARingOrCassette: 'Add a ring or cassette',
  hasNoRingOrNo: (name: string) =>
    `${name} has no ring or no cogs on the shelf yet: there are no gears to compare.`,
  whereYouRideIsNot: 'Where you ride is not known yet: bring in rides.',
  whereYouRideFromTheCadence: 'Where you ride: from the cadence of your rides.',
  whereYouRideOfTheWork: (phrase: number) =>
    `Where you ride: ${phrase}\u00a0% of the work by cadence, the rest by a guess.`,
  whereYouRideAGuess: 'Where you ride: a guess from the usual mix of cogs, as your rides tell no cadence.',
  theWheelsSizeIsAGuess: 'The wheel’s size is a guess.',
  tryOtherGears: 'Try other gears',
  setUpInHand: 'Set-up in hand',
  addOneWithIts: 'Add one with its rings and cogs, and compare its gears with others here.',
}

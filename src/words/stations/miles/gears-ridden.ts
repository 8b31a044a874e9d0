/** The words of GearsRidden. */
export const words = {
  theWheelsCircumferenceUsually: 'The wheel’s circumference, usually about 2100 mm.',
  riderBikeAndLoad: 'Rider, bike and load together.',
  theMotorsShare0: 'The motor’s share; 0 for none.',
  atLeastOneCog: 'At least one cog is ridden.',
  sGearsAndWeight: (name: string) => `${name}’s gears and weight are saved.`,
  aGuessPleaseCorrect: ': a guess, please correct it',
  basedOn: (phrase: string) => `Based on${phrase}`,
  wheelMmRound: 'Wheel, mm round',
  riderBikeAndLoadKg: 'Rider, bike and load, kg',
  theMotorsShare: 'The motor’s share, %',
  shareOfTheRiding: 'Share of the riding on each cog, for rides without cadence',
  cog: (cog: number) => `Cog ${cog}`,
  keepIt: 'Keep it',
  thisChain: 'this chain',
  aMonth: 'a month',
  aYear: 'a year',
  allItsRides: 'all its rides',
  betweenTwoDays: 'between two days',
  over: 'Over',
  firstDay: 'First day',
  lastDay: 'Last day',
  whatTheGearsDid: 'What the gears did',
  everyRideHasCadence: 'Every ride has cadence, so its gears are known.',
  noRideHereShows:
    'No ride here shows its gears. This is the bike’s usual mix: a guess until a ride has cadence, or you correct it.',
  cadenceShowsTheGears: (percent: string) =>
    `Cadence shows the gears for ${percent} of the energy; the rest follows the bike’s usual mix.`,
  nothingWasRiddenInThatTime: 'Nothing was ridden in that time.',
  the: 'The',
  andThe: 'and the',
  do: 'do',
  ofTheWork: 'of the work.',
  it: 'it',
  them: 'them',
  theCanLookNew: (list: string, phrase: string) =>
    ` The ${list} can look new: hardly anyone rides ${phrase}.`,
  energyByCogOf: (kjText: string) => `Energy by cog, of ${kjText}`,
  energyByCog: 'Energy by cog',
  energyByRing: 'Energy by ring',
  goesThroughCogsOf13: (percent: string, smallCogTimes: string) =>
    `${percent} goes through cogs of 13 teeth or fewer, where each kilojoule wears the pins ${smallCogTimes} times as much as on the others.`,
  theSameRatiosAre: ': the same ratios are there on the other ring, with a straighter chain.',
  isCrossedLargeToLarge: (percent: string, phrase: string) =>
    `${percent} is crossed, large to large or small to small${phrase}`,
  aRingFourTeeth: (percent: string) =>
    `A ring four teeth larger, the ratios kept, would spare the pins about ${percent}.`,
}

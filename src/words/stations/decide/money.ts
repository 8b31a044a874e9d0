/** The words of Money. */
export const words = {
  forWhat: 'For what?',
  howMuchWasIt: 'How much was it?',
  forWhat2: 'For what',
  howMuch: 'How much',
  currency: 'Currency',
  day: 'Day',
  save: 'Save',
  partsAndLubeOfYour: (money: string) => ` Parts and lube of your plan come to ${money} in the mean.`,
  to: (money: string, money2: string) => `${money} to ${money2}`,
  moreThanTheThat8: (range: string) => ` More than the ${range} that 8 in 10 lives of your plan cost.`,
  lessThanTheThat8: (range: string) => ` Less than the ${range} that 8 in 10 lives of your plan cost.`,
  asForecast8In10: (range: string) => ` As forecast: 8 in 10 lives of your plan cost ${range}.`,
  whatItHasReally: 'What it has really cost',
  nothingIsEnteredYet: 'Nothing is entered yet: parts, work, what comes off the shelf.',
  tooShortAWay: (distance: string, km: string) =>
    `: too short a way to say what ${distance} cost, before ${km}.`,
  per: (money: string, distance: string) => `: ${money} per ${distance}.`,
  sinceOver: (fullDay: string, km: string, phrase: string, compare: string) =>
    `since ${fullDay}, over ${km}${phrase}${compare}`,
  eachOfThem: 'each of them',
  addACost: 'Add a cost',
  aCostOf: (name: string) => `A cost of ${name}`,
}

/** The words of Checks. */
export const words = {
  due: (occasion: string, dueWhy: string) => `${occasion}: due. ${dueWhy}`,
  next: (occasion: string, day: string) => `Next: ${occasion}, ${day}.`,
  beforeEveryRideTwo: 'Before every ride: two minutes.',
  halfDone: (name: string, toLowerCase: string) => `${name}: ${toLowerCase}, half done.`,
  toGoAboutMinutes: (count: string, phrase: number) => `${count} to go, about ${phrase} minutes.`,
  isDue: (name: string, occasion: string) => `${name}: ${occasion} is due.`,
  noCheckIsDue: (name: string) => `${name}: no check is due.`,
  answeredNotHereAndLeft: 'Answered “not here” and left out:',
  putItBack: (item: string) => `${item}: put it back`,
  goOn: 'Go on',
  start: 'Start',
  theRound: 'The round',
  lookedAtWithinDays: (freshDays: number, size: number, count: number) =>
    `Looked at within ${freshDays} days: ${size} of ${count}.`,
  whatItHas: 'What it has',
  notAllOfItIsEntered:
    'Not all of it is entered: until then everything is asked, and can be answered “not here”.',
  itDecidesWhichChecks: 'It decides which checks there are.',
  addOneAndCheck: 'Add one, and check its brakes, tyres, bolts and steering here, in one round.',
}

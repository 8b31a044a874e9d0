/** The words of WashPlanner. */
export const words = {
  thePlanOnPaper: 'The plan on paper (PDF)',
  wash: 'wash',
  layOutFirst: 'Lay out first',
  whyThisWay: 'Why this way',
  careful: 'Careful',
  theMakersInstructionsCome: (cares: string) => `${cares} The makers’ instructions come first.`,
  nextBest: (way: string, phrase: string) => `Next best: ${way}${phrase}.`,
  suggestedInstead: (way: string) => `Suggested instead: ${way}.`,
  dropsAboutMlOnce: (whose: string, drops: number, ml: number, crankTurns: string) =>
    `${whose}${drops} drops, about ${ml} ml; once round is ${crankTurns} crank turns.`,
  minutesOfThemHands: (minutes: number, handsMin: number) =>
    `${minutes} minutes, ${handsMin} of them hands on.`,
  oneStepAfterAnother: (listMin: number) => `One step after another it would be ${listMin}.`,
  theBestOrderFound: (provenMin: number) =>
    `The best order found so far; none can take less than ${provenMin} minutes.`,
  doneAtIfYou: (timeOfDay: string) => `done at ${timeOfDay} if you start now`,
  startTheWashOf: (names: string) => `Start the wash of ${names}`,
  clocksRunWhileYour: (count: string) => `${count}; clocks run while your hands are dirty.`,
  theNextWash: (ways: string) => `The next wash: ${ways}`,
  minutesAreTooFew: (minutes: number) => `minutes are too few for this: even the least takes ${minutes}.`,
  of: (subject: string) => ` of ${subject}`,
  leftOutToFit: (list: string) => `Left out to fit: ${list}.`,
  workingOutTheOrder: (phrase: string) => `Working out the order…${phrase}`,
}

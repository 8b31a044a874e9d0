/** The words of RoundScreen. */
export const words = {
  howIsIt: 'How is it',
  passes: 'Passes:',
  ifNot: 'If not:',
  theMakersFiguresCome: (fails: string) => `${fails} The maker’s figures come first.`,
  electricBikePowerOff: 'Electric bike: power off and battery out first.',
  theIsEnded: (occasion: string) => `The ${occasion} is ended.`,
  toGoAboutMin: (name: string, toLowerCase: string, count: string, phrase: number, area: string) =>
    `${name}, ${toLowerCase}: ${count} to go, about ${phrase} min. ${area}.`,
  allOfTheRound: (size: number, count: number) => `All of the round: ${size} done, ${count} to go`,
  allOfTheRound2: 'All of the round',
  toDo: 'to do',
  lookAgain: 'Look again',
  lookNow: 'Look now',
  undoTheLastStep: 'Undo the last step',
  leaveItHalfDone: 'Leave it half done: it waits',
  endTheRoundHere: 'End the round here',
}

/** The words of Job. */
export const words = {
  nothingOnTheList: 'Nothing on the list yet: add what you found.',
  isTooLittleForAny: (exactMoney: string) => `${exactMoney} is too little for any of these jobs.`,
  for: (exactMoney: string, done: string) => `For ${exactMoney}: ${done}.`,
  leftForAnotherTime: (left: number) => `; ${left} left for another time`,
  inAll: (money: string, phrase: string) => `${money} in all${phrase}.`,
  everythingThatSafetyAsks: 'Everything that safety asks for and that can be had is in.',
  tooLittleForASafe: (exactMoney: string, list: string) =>
    `Too little for a safe bike: that takes ${exactMoney} at least (${list}).`,
  theListIsFull: (jobs: number) => `The list is full: ${jobs} jobs are the most.`,
  foundAtACheck: (name: string) => `+ ${name}, found at a check`,
  somethingElse: '+ Something else',
  writeTheOwnersSheet: 'Write the owner’s sheet',
  backToTheDecision: 'back to the decision',
  theTeethAreStill: 'The teeth are still being worked out: what they ask for is not in the list yet.',
  cannotBeMadeSafe: (list: string) => `Cannot be made safe now: ${list}. The bike is not ridden until it is.`,
  needOneAnotherThey: (list: string) => `${list} need one another: they are done together or not at all.`,
  whatCouldBeDone: 'What could be done',
  chosenFirstEverythingCan: 'Chosen first. Everything can be changed; prices are guesses until you set them.',
  foundSomethingElse: 'Found something else?',
  startTheListAgain: 'Start the list again',
  otherWaysToSpend: 'Other ways to spend it',
  anotherJob: 'Another job',
  whatWasDoneWhat: 'What was done, what was left',
  tickWhatYouDid:
    'Tick what you did. What is left becomes advice, with the distance and the day by which to see to it.',
}

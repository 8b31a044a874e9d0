/** The words of Gauge. */
export const words = {
  togetherTheyMakeProbably: (
    cause: string,
    percent: string,
    figure: string,
    figure2: string,
    settle: string,
  ) => `${cause} Together they make ${percent}, probably ${figure} to ${figure2}. ${settle}`,
  takeItWithThe: (settle: string) => `Take it with the ${settle}`,
  beingUpdatedWithWhat: 'Being updated with what was added. ',
  aSecondReadingSettles: 'A second reading settles it too.',
  answerIt: 'Answer it',
  takeAReading: 'Take a reading',
  theLimit: 'The limit',
}

/** The words of StaleRun. */
export const words = {
  aWashOfWas: (bikes: string, ago: string) => `A wash of ${bikes} was begun ${ago} and never ended.`,
  was: 'was',
  were: 'were',
  ofBegunWhatBecame: (begun: number, count: string, phrase: string) =>
    `${begun} of ${count} ${phrase} begun. What became of it?`,
  endItLogTheSteps: 'End it: log the steps that were done',
  goOnWithItNow: 'Go on with it now',
  forgetItLogNothing: 'Forget it: log nothing',
}

/** The words of WorkingLine. */
export const words = {
  workingOutTheChains: 'Working out the chains…',
  notNow: 'Not now',
  theChainsCouldNot: 'The chains could not be worked out.',
  stoppedTheAnswersShown: 'Stopped: the answers shown may be older than the log.',
  workItOut: 'Work it out',
}

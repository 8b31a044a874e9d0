/** The words of steps. */
export const words = {
  theLogStillCounts: 'The log still counts it.',
  theLogDoesNot: 'The log does not count it.',
}

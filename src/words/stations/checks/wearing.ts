/** The words of Wearing. */
export const words = {
  now: (wearNow: string, wearRate: string) => `Now ${wearNow}; ${wearRate}.`,
  yearsFromNow: 'years from now',
  inAbout: (aboutKm: string, phrase: string) => `in about ${aboutKm}${phrase}`,
  nextLook: (phrase: string) => `Next look ${phrase}. `,
  sinceItWasNew: (km: string) => `${km} since it was new. `,
  itsPastIsNot: 'Its past is not known. ',
  lookedAt: (ago: string) => `Looked at ${ago}.`,
  look: 'Look',
  measure: 'Measure',
  whatWears: 'What wears',
  eachReadingHasIts:
    'Each reading has its instrument’s error; the rate is learned from this bike’s own. Makers’ limits come first.',
  measuredButNotOnThisBike: (strangers: string) =>
    `Measured, but not on this bike by its description: ${strangers}. Is it the right bike, or is something wrong under “What it has”?`,
  notMeasuredYet: 'Not measured yet:',
  whatIsMeasured: (measuring: string) => `What is measured: ${measuring}.`,
  fingersOutOfATurning:
    'Fingers out of a turning wheel. Pads and rotors: alcohol only, a cloth used for nothing else.',
}

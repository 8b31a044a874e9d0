/** The words of MissingSwap. */
export const words = {
  cameOntoItsBike: (name: string) => `${name} came onto its bike after that day.`,
  cameOffWhatWas: (name: string) => `${name} came off; what was measured since belongs to the fresh chain.`,
  logTheSwap: 'Log the swap',
  fittedOnAbout: 'Fitted on, about',
  betweenTheTwoLooks: (day: string, day2: string) => `Between the two looks: from ${day} to ${day2}.`,
}

/** The words of SumSlider. */
export const words = {
  giveTheSum0: 'Give the sum, 0 or more.',
  theSum: 'The sum',
  safe: 'safe',
  sum: (currency: string) => `Sum, ${currency}`,
  theChoiceChangesAtTheMarks: (phrase: string) => `The choice changes at the marks${phrase}.`,
  lookingForTheSums: 'Looking for the sums at which the choice changes…',
}

/** The words of Chart. */
export const words = {
  theNumbers: 'the numbers',
  theNumbers2: 'The numbers',
}

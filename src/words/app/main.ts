/** The words of main. */
export const words = {
  theAppDidNot: 'The app did not finish opening the last times.',
}

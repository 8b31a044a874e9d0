/** The words of RateRows. */
export const words = {
  what: 'What',
  drawn: 'Drawn',
  likelyAndWhere8: 'Likely, and where 8 in 10 lie',
  stillAGuess: 'still a guess',
}

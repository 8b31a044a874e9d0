/** The words of PriceEditor. */
export const words = {
  aPriceIs0: 'A price is 0 or more.',
  aGuessSoFar: ': a guess so far',
  prices: (phrase: string) => `Prices${phrase}`,
  aGuess: ', a guess',
  asLastPaid: ', as last paid',
  currency: 'Currency',
  savePrices: 'Save prices',
  putThemBack: 'Put them back',
  aChangeOfCurrency: 'A change of currency leaves the prices that you set as they are: check them.',
}

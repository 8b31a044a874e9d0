/** The words of PriceListIn. */
export const words = {
  notOneOfTheThings: 'not one of the things that have a price here',
  noPriceThatCan: 'no price that can be read',
  aPriceIs0: 'a price is 0 or more',
  thatDearItCannot: 'that dear it cannot be: check the figure',
  standsThereTwiceTheFirst: 'stands there twice: the first counts',
  isTooLargeForAList: (name: string) => `${name} is too large for a list of prices.`,
  couldNotBeRead: (name: string) => `${name} could not be read.`,
  takenOver: (count: string) => `${count} taken over.`,
  pasteOrDropAPrice: 'Paste or drop a price list',
  chain2490Eur: 'chain, 24.90, EUR\ncassette, 58',
  line: (line: number, said: string, why: string) => `Line ${line}, “${said}”: ${why}.`,
  twoCurrenciesInOne: 'Two currencies in one list: give them one at a time.',
  theseAreInYour: (currency: string, currency2: string) =>
    `These are in ${currency}, your prices were in ${currency2}: what is not in the list becomes a guess again.`,
  takeThesePricesOver: 'Take these prices over',
}

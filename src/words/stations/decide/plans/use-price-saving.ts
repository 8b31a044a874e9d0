/** The words of use-price-saving. */
export const words = {
  pricesSaved: 'Prices saved.',
  pricesIn: (next: string) => `Prices in ${next}.`,
}

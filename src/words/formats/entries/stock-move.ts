/** The words of stock-move. */
export const words = {
  currencyMustBeThree: 'currency must be three capital letters, like EUR',
}

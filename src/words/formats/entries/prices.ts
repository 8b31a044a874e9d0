/** The words of prices. */
export const words = {
  currencyMustBeThree: 'currency must be three capital letters, like EUR',
}

/** The words of visit. */
export const words = {
  currencyMustBeThree: 'currency must be three capital letters, like EUR',
}

/** The words of provisional. */
export const words = {
  chainAsFound: 'Chain as found',
}

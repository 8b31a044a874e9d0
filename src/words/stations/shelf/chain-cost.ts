/** The words of chain-cost. */
export const words = {
  newChain: 'New chain',
}

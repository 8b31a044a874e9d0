/** The words of NoChain. */
export const words = {
  fitAChain: 'Fit a chain',
  noChainIsEntered: (bike: string) => `No chain is entered for ${bike} yet.`,
}

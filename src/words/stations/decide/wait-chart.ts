/** The words of WaitChart. */
export const words = {
  limit: (aboutKm: string) => `limit: ${aboutKm}`,
  now: 'now',
  swapTheChainAfter: 'swap the chain after',
  theNumbers: 'the numbers',
  swapAfter: 'swap after',
  dearerThanTheBest: 'dearer than the best by',
  skipsInTheNext: (km: string) => `skips in the next ${km}`,
}

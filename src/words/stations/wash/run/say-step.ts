/** The words of say-step. */
export const words = {
  aBikeNotInTheLog: 'a bike not in the log',
}

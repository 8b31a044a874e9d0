/** The words of correction. */
export const words = {
  giveTheDayAndTheTime: 'Give the day and the time, with a year of four figures.',
  thatIsInTheFuture: 'That is in the future: the log holds what has happened.',
}

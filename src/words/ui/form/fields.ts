/** The words of fields. */
export const words = {
  giveADay: 'Give a day.',
}

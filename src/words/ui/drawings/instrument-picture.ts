/** The words of InstrumentPicture. */
export const words = {
  seats: 'seats',
  enters: 'enters',
  staysOut: 'stays out',
  insidePushedApart: 'inside: pushed apart',
  outsidePushedTogether: 'outside: pushed together',
}

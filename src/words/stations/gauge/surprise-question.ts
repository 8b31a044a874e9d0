/** The words of SurpriseQuestion. */
export const words = {
  notedTheReadingIsRight: 'Noted: the reading is right, and the log is complete.',
  notWhatWasExpected: 'Not what was expected',
  orIsTheReading: 'Or is the reading right, and the log complete?',
  itIsAllRight: 'It is all right',
  aSecondReadingSettles: 'A second reading settles it too. ',
  untilThisIsAnswered:
    'Until this is answered the forecast allows for each of these, and no swap is advised unless every likely answer calls for one.',
}

/** The words of SavePaper. */
export const words = {
  a4: 'A4',
  letter: 'Letter',
  paper: 'Paper',
  settingThePage: 'Setting the page…',
  saved: 'Saved.',
  savedButLettersHave: (lost: number) =>
    `Saved, but ${lost} letters have no place in a plain PDF and stand as question marks. Print the page to have them all.`,
  couldNotBeSet: 'A picture could not be put on the page. Try again, or print the page.',
}

/** The words of OwnerSheetPage. */
export const words = {
  toothCog: (cog: number) => `${cog}-tooth cog`,
  theBike: 'The bike',
  settingThePage: 'Setting the page…',
  pdf: (replace: string, at: string) => `${replace}-${at}.pdf`,
  savedButLettersHave: (lost: number) =>
    `Saved, but ${lost} letters have no place in a plain PDF and stand as question marks. Print this page instead to keep them.`,
  saved: 'Saved.',
  aPictureCouldNot: 'A picture could not be set into the PDF. Print this page instead.',
  saveAsPdf: 'Save as PDF',
  paper: 'Paper',
  letter: 'Letter',
  print: 'Print',
  backToTheDecision: 'back to the decision',
}

/** The words of SheetOnPaper. */
export const words = {
  sheet: 'Sheet',
  onPaper: 'The round on paper (PDF)',
}

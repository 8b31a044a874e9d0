/** The words of NotesPreview. */
export const words = {
  inTheLogAlready: (count: string) => `${count} in the log already`,
  nothingToBringIn: 'nothing to bring in',
  whatEachRowBecomes: 'What each row becomes',
  allRowsAreClear: 'All rows are clear.',
  notClearWhatIsMarked: (count: string) =>
    `${count} not clear. What is marked is left out; the rest of the row comes in.`,
  rowsToShow: 'Rows to show',
  all: (count: number) => `All ${count}`,
  notClear: (count: number) => `Not clear: ${count}`,
  rows: 'Rows',
}

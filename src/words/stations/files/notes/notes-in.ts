/** The words of NotesIn. */
export const words = {
  dateKmGaugeNote: 'date	km	gauge	note\n4 March	12,410	0.5 no, 0.75 no	new chain',
  readingsDistancesPartsWashes:
    'Readings, distances, parts, washes, prices: whatever its columns hold. You see what each row becomes before anything is added.',
  seeWhatItSays: 'See what it says',
  bringInNotesFromASpreadsheet: 'Bring in notes from a spreadsheet.',
  pasteIt: 'Paste it',
  selectTheCellsInTheSpreadsheet: 'Select the cells in the spreadsheet, copy them, and paste them here.',
  cellsOfTheSpreadsheet: 'Cells of the spreadsheet',
  whatWasPasted: 'What was pasted',
  readIt: 'Read it',
  orDropTheFile: 'Or drop the file',
  aTableAsCsv:
    'A table as .csv, .tsv, .txt or .xlsx. Of a file with several sheets the first is read. It stays in this browser.',
  spreadsheetFile: 'Spreadsheet file',
  chooseAFile: 'Choose a file',
  dropTheSpreadsheetHere: 'Drop the spreadsheet here.',
  nothingWasChanged: (fault: string) => `${fault} Nothing was changed.`,
  layingOutTheRows: 'Laying out the rows…',
  thereIsNothingNew: 'There is nothing new in these notes.',
  cameIn: (noteCounts: string) => `${noteCounts} came in.`,
  howItIsRead: (file: string) =>
    `${file}. How it is read is kept for the next table like it. Added together, and undone together.`,
  addingThem: 'Adding them…',
  addThemToTheLog: 'Add them to the log',
  leaveThisTable: 'Leave this table',
  whatTheColumnsHold: 'What the columns hold',
  howToReadThem: 'How to read them',
  whichBikes: 'Which bikes',
  whichBike: 'Which bike',
}

/** The words of sheet-file. */
export const words = {
  theSpreadsheetCannotBe:
    'The spreadsheet cannot be opened. Copy its cells and paste them here, or save it as CSV.',
}

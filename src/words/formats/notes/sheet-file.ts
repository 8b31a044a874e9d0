import { groupedNumber } from '../../grouped-number.ts'

/** The words of sheet-file, sheet-parts and sheet-span. */
export const words = {
  theSpreadsheetCannotBe:
    'The spreadsheet cannot be opened. Copy its cells and paste them here, or save it as CSV.',
  theSpreadsheetIsDamaged:
    'The spreadsheet is damaged. Open it in the program that made it and save it again, or copy its cells and paste them here.',
  itIsLocked: 'The spreadsheet is locked with a password. Save it without one, or as CSV.',
  itIsAnArchive: 'This is an archive with files in it. Unpack it, and drop the spreadsheet that is in it.',
  itDefinesWordsOfItsOwn:
    'The file defines entities of its own, which no spreadsheet does. Copy the cells of the table and paste them here.',
  itWouldBeMb: (size: number, most: number) =>
    `Unpacked the sheet would be ${groupedNumber(size)} MB; up to ${most} MB are read. Copy the cells of the table and paste them here.`,
  itGoesOnBelow: (row: number, most: number) =>
    `The sheet has something in row ${groupedNumber(row)}; up to ${groupedNumber(most)} rows are read. Delete what stands far below the table, or copy its cells and paste them here in parts.`,
  itGoesOnBeside: (column: number, most: number) =>
    `The sheet has something in column ${groupedNumber(column)}; up to ${most} columns are read. Delete what stands far beside the table, or copy its cells and paste them here.`,
  itHasTooManyCells:
    'The sheet holds more than a million cells, or more text than any table of notes. Copy the cells of the table and paste them here.',
}

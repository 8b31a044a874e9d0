/** The words of use-notes. */
export const words = {
  notes: (notePrint: string) => `notes ${notePrint}`,
  hasRowsBringInUp: (file: string, count: number, mostNoteRows: number) =>
    `${file} has ${count} rows. Bring in up to ${mostNoteRows} at a time.`,
  couldNotBeRead: (file: string) => `${file} could not be read.`,
  isTooLargeForATable: (name: string) => `${name} is too large for a table of notes.`,
  cancelled: 'Cancelled.',
  couldNotBeRead2: (name: string) => `${name} could not be read.`,
}

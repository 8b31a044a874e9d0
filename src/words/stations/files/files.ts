/** The words of Files. */
export const words = {
  typeTheWordWipe: 'Type the word wipe to go on.',
  wipeThisLog: 'Wipe this log?',
  willBeDeletedFromThisBrowser: (count: string) =>
    `${count} will be deleted from this browser. This cannot be undone; a backup brings them back.`,
  typeWipeToGo: 'Type wipe to go on',
  wipeTheLog: 'Wipe the log',
  notesFromASpreadsheet: 'Notes from a spreadsheet',
  readingsDistancesPartsWashes:
    'Readings, distances, parts, washes or prices that you kept in a table: paste them, or drop the file.',
  bringInNotes: 'Bring in notes',
  theDemoGarage: 'The demo garage',
  fiveMadeUpBikes:
    'Five made-up bikes of a made-up town, two years of them. It is kept apart and never touches your records.',
  writingIt: 'Writing it…',
  restartTheDemo: 'Restart the demo',
  leaveTheDemo: 'Leave the demo',
  openTheDemo: 'Open the demo',
  aBackupIsOne: (unsaved: string) =>
    `${unsaved} A backup is one open JSON file: keep it elsewhere, or take it to another device and merge the two.`,
  saveABackup: 'Save a backup',
  yourLog: (count: string) => `Your log: ${count}.`,
  wipe: 'Wipe',
  emptiesThisLogInThisBrowser: 'Empties this log in this browser. Save a backup first.',
  opening: 'Opening…',
}

/** The words of BringIn. */
export const words = {
  bringInABackup: 'Bring in a backup',
  orOneBikesRecord:
    'Or one bike’s record. Adds what the file holds and this log does not. Today asks about what contradicts, and shows what the file corrected or took out: you can put it back.',
  chooseABackup: 'Choose a backup',
  backupFile: 'Backup file',
  readingTheBackup: 'Reading the backup',
  cancel: 'Cancel',
  bringItInAllTheSame: 'Bring it in anyway',
  leaveIt: 'Leave it',
  takeItAllOut: 'Take all of it out again',
  restore: (count: string) => `Restore ${count}`,
}

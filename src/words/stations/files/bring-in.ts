/** The words of BringIn. */
export const words = {
  bringInABackup: 'Bring in a backup',
  orOneBikesRecord:
    'Or one bike’s record. Adds what the file holds and this log does not. What contradicts is asked about on Today; what the file corrected or took out is told there, and can be put back.',
  chooseABackup: 'Choose a backup',
  backupFile: 'Backup file',
  readingTheBackup: 'Reading the backup',
  cancel: 'Cancel',
  bringItInAllTheSame: 'Bring it in all the same',
  leaveIt: 'Leave it',
  takeItAllOut: 'Take all of it out again',
  restore: (count: string) => `Restore ${count}`,
}

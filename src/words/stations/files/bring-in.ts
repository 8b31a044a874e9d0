/** The words of BringIn. */
export const words = {
  bringInABackup: 'Bring in a backup',
  orOneBikesRecord:
    'Or one bike’s record. Adds what the file holds and this log does not. Nothing here is changed or removed.',
  chooseABackup: 'Choose a backup',
  backupFile: 'Backup file',
  readingTheBackup: 'Reading the backup',
  cancel: 'Cancel',
  restore: (count: string) => `Restore ${count}`,
}

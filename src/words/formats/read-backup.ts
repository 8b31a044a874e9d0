/** The words of read-backup. */
export const words = {
  thisIsNotAJolt: 'This is not a Jolt Mile backup. Choose the file that "Save a backup" wrote.',
  theFileIsCut:
    'The file is cut short, and no whole entry is left in it. Copy it again from where it was saved.',
  theFileIsCutShort: (count: number, phrase: string) =>
    `The file is cut short or damaged: ${count} of its ${phrase}entries could be read. If there is a whole copy, bring it in too: nothing comes in twice.`,
  theFileIsEmpty: 'The file is empty. Choose the backup again.',
  aNewerVersionOfJolt:
    'A newer version of Jolt Mile wrote this backup, in a way that this one cannot read. Reload the app to bring it up to date, then try again.',
  theBackupHoldsNo: 'The backup holds no list of entries. Choose another copy of it.',
  aNewerVersionOfJoltMile:
    'A newer version of Jolt Mile wrote this backup. What this one does not know is kept aside until it is brought up to date.',
  anUnknownNumberOf: 'an unknown number of',
  theFileSaysThatItHolds: (phrase: string | number, count: number) =>
    `The file says that it holds ${phrase} entries; ${count} are there.`,
  itIsNotAnEntry: 'it is not an entry',
  itsLineInTheFile: 'its line in the file cannot be read',
  itIsDeeper: 'its pieces are nested deeper than those of any entry',
  itIsNoPicture: 'it is no picture that can be read',
}

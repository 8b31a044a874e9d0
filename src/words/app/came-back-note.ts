/** The words of CameBackNote. */
export const words = {
  theBrowserHadLost: (count: string) =>
    `The browser had lost your log. ${count} came back from the second copy kept here. What was written in the last moments before may be missing.`,
  saveABackup: 'Save a backup',
  hideThis: 'Hide this',
}

/** The words of UnsavedNote. */
export const words = {
  aNewerVersionOfTheApp: (count: string) => `${count} a newer version of the app. `,
  saveABackup: 'Save a backup',
  showThem: 'Show them',
}

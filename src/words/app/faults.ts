/** The words of Faults. */
export const words = {
  thereIsNoStation: 'There is no station at this address.',
  itMayHaveBeen: 'It may have been mistyped or moved. Nothing in your log has changed. These are open:',
  thisPartOfTheApp: 'This part of the app could not be loaded.',
  reload: 'Reload',
  thereMayBeNo:
    'There may be no network, or the app has been brought up to date meanwhile. Reload the page. Your log is not touched.',
  somethingBrokeOnThisScreen: 'Something broke on this screen. Your log is not touched.',
  saveABackup: 'Save a backup',
  openTheSafePage: 'Open the safe page',
  saveABackupFirst: 'Save a backup first if you like, then reload. If it breaks again, this is the error:',
  theAppCouldNot: (messageOf: string) => `The app could not be opened: ${messageOf}.`,
}

/** The words of LogStates. */
export const words = {
  thisBrowserKeepsNo: 'This browser keeps no data for web pages.',
  joltMileKeepsYour: 'Jolt Mile keeps your log in the browser (in IndexedDB), and this one has none.',
  openTheAppInAnother: 'Open the app in another browser, or in an ordinary window instead of a private one.',
  theBrowserDoesNot: 'The browser does not let this page keep data.',
  aSettingForbidsItOrThis: 'A setting forbids it, or this is a private window that keeps nothing.',
  allowSiteDataForThisAddress:
    'Allow site data for this address in the browser’s settings, or use an ordinary window. Then try again.',
  theBrowsersStorageDoes: 'The browser’s storage does not answer.',
  anotherTabOfJolt: 'Another tab of Jolt Mile may be holding it, or the browser is busy with its disk.',
  closeTheOtherTabs:
    'Close the other tabs of Jolt Mile and try again. If that does not help, restart the browser: your log stays where it is.',
  aNewerVersionOfJolt: 'A newer version of Jolt Mile wrote this log.',
  thisPageIsAnOlder: 'This page is an older version. It leaves the log alone, so that nothing of it is lost.',
  reloadThePageToGet: 'Reload the page to get the newer version.',
  thereIsNoRoom: 'There is no room on this device.',
  theBrowserCannotOpen:
    'The browser cannot open the log because its storage is full. What is in the log stays there.',
  makeRoomOnTheDevice: 'Make room on the device, then try again.',
  theBrowserCouldNot: 'The browser could not open the log.',
  itGaveNoReason: 'It gave no reason that helps. Your log has not been changed.',
  tryAgainIfThatDoes: 'Try again. If that does not help, restart the browser.',
  reload: 'Reload',
  tryAgain: 'Try again',
  openTheDemo: 'Open the demo',
  thatDidNotWork: 'That did not work. Save the backup first, then reload.',
  theBrowserHasDeleted: 'The browser has deleted your log while it was open.',
  saveABackup: 'Save a backup',
  putTheBack: (count: string) => `Put the ${count} back`,
  somebodyClearedThisSites: (count: string) =>
    `Somebody cleared this site’s data, or the browser needed the room. This page still holds all ${count}: save them before you close it.`,
  theBrowserHasLost: 'The browser has lost your log.',
  bringInABackup: 'Bring in a backup',
  startWithAnEmpty: 'Start with an empty log',
  hereTheLastTime: (count: string) =>
    `${count} here the last time, and none is now: the site’s data was cleared, the browser needed the room, or it was cut off in the middle of its own work.`,
  bringInYourLast: 'Bring in your last backup, or the file from the folder that was kept up to date.',
  aNewerVersionOfJoltMile: 'A newer version of Jolt Mile has opened this log in another tab.',
  thisPageHasStopped:
    'This page has stopped writing, so that the two do not mix. Reload it to go on with the newer version.',
}

/** The words of KeptSafe. */
export const words = {
  theBrowserHasPromised: 'The browser has promised to keep the log, even when it runs out of room.',
  theBrowserHasNot:
    'The browser has not promised to keep the log. It may delete it when it runs out of room.',
  thisBrowserDoesNot: 'This browser does not say whether it keeps the log when it runs out of room.',
  theFolder: 'The folder',
  cameInFromOther: (count: string) => ` ${count} came in from other devices.`,
  theBrowserNeedsYour: (name: string) =>
    `The browser needs your permission again before it writes into ${name}.`,
  writingInto: (name: string) => `Writing into ${name}…`,
  isUpToDate: (name: string, phrase: string, others: string) =>
    `${name} is up to date, last written at ${phrase}.${others}`,
  noReasonWasGiven: 'no reason was given',
  couldNotBeBrought: (name: string, fault: string) => `${name} could not be brought up to date: ${fault}.`,
  thisAddressIsNeither:
    'This address is neither https nor localhost: the browser holds back some of its means.',
  nothingIsKeptOffline: 'Nothing is kept offline: without the server, the app does not open.',
  itCannotBeAsked: 'It cannot be asked to keep the log when it runs out of room.',
  noFolderIsKept: 'It writes into no folder: save a backup now and then.',
  itHasNoSecondCopy: 'It has no second copy of the log.',
  theScreenMayGoDark: 'In bench mode, the screen may go dark by itself.',
  openTheAppByHttps:
    'Open the app by https, or by localhost on the machine that serves it. Records stay with their address: save a backup here and bring it in there.',
  thisBrowserCannotKeep: 'This browser cannot keep a file up to date by itself. Save a backup now and then.',
  aFolderKeptUp: 'A folder kept up to date',
  chooseAFolderOnce:
    'Choose a folder once: after every change a backup is written there. In a folder that your devices share, each writes its own file and takes in the others’.',
  allowIt: 'Allow it',
  chooseAnotherFolder: 'Choose another folder',
  chooseAFolder: 'Choose a folder',
  stopUsingIt: 'Stop using it',
  keptSafe: 'Kept safe',
  theLogLivesInThisBrowser: 'The log lives in this browser, on this device, and nowhere else.',
  askTheBrowserToKeep: 'Ask the browser to keep it',
}

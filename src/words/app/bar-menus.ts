/** The words of BarMenus. */
export const words = {
  hereNow: 'here now',
  find: 'Find',
  newEntry: 'New entry',
  saveDrawingsAndTables: 'Save drawings and tables',
  keys: 'Keys',
  themeToDaylight: 'Theme: to daylight',
  themeToLateShop: 'Theme: to late shop',
  unitsToMilesAndInches: 'Units: to miles and inches',
  unitsToKmAndMm: 'Units: to km and mm',
  numbersAndDays: 'Numbers and days',
  benchModeOff: 'Bench mode: off',
  benchModeLargeScreen: 'Bench mode: large, screen awake',
  leaveTheDemo: 'Leave the demo',
  openTheDemo: 'Open the demo',
}

/** The words of ComingUp. */
export const words = {
  comingUp: 'Coming up',
  fromHowEachBike: 'From how each bike is ridden and how its chain wears. Days move as you ride and measure.',
  asAList: 'As a list',
  showFewer: 'Show fewer',
  showAll: (count: number) => `Show all ${count}`,
  saveAsACalendar: 'Save as a calendar file',
  anIcalendarFileImport: 'An iCalendar file. Import it again later: dates are updated, nothing is doubled.',
}

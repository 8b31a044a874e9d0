/** The words of Visits. */
export const words = {
  aJobForAFixed: 'A job for a fixed sum',
  whatIsWorthMost: 'What is worth most for the money, what drops out and why, and a sheet for the owner.',
  due: 'due',
  left: (ago: string) => `Left ${ago}`,
  since: (km: string) => `, ${km} since`,
  seeToItNow: 'See to it now.',
  seeToIt: (by: string) => `See to it ${by}.`,
  chooseWithinASum: 'Choose within a sum',
  sheetOf: (fullDay: string) => `sheet of ${fullDay}`,
}

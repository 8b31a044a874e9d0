/** The words of Minds. */
export const words = {
  iWouldPayToBe: 'I would pay to be spared one skip',
  anHourOfMy: 'An hour of my time is worth',
  over: 'Over',
  under: 'Under',
  noOtherPlanIsCheapest: 'No other plan is cheapest anywhere along this.',
  saveWhatYouMind: 'Save what you mind',
}

/** The words of Alternatives. */
export const words = {
  forTheSum: 'For the sum',
  leastThatIsSafe: 'Least that is safe',
  safetyNoWeightierThan: 'Safety no weightier than the rest',
  allThatCanBe: 'All that can be had',
  waysSideBySide: 'Ways side by side',
  job: 'job',
  yes: 'yes',
  left: 'left',
  together: 'Together',
  min: (minutesOf: number) => `${minutesOf} min`,
}

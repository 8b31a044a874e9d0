/** The words of StepList. */
export const words = {
  theStepsAsAList: 'The steps as a list',
  steps: 'Steps',
  min: (id: number) => `min ${id}`,
  min2: (handsMin: number) => `, ${handsMin} min`,
  thenForMin: (wait: string, waitMin: number) => `; then ${wait} for ${waitMin} min`,
}

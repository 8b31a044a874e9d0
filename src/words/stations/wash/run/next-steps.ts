/** The words of NextSteps. */
export const words = {
  next: 'Next',
  nextSteps: 'Next steps',
  min: (name: string, handsMin: number) => `${name}, ${handsMin} min`,
  at: (timeOf: string) => `at ${timeOf}`,
  skip: 'Skip',
  skippedSteps: 'Skipped steps',
  skipped: (name: string) => `Skipped: ${name}`,
  putItBack: 'Put it back',
}

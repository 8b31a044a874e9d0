/** The words of MeasureNow. */
export const words = {
  bike: (size: number) => `Bike ${size}`,
  isInTheLog: (name: string, count: string) => `${name} is in the log with ${count}.`,
  itCouldNotBe: 'It could not be worked out. Reload the page and try again.',
  keepItAs: (name: string) => `Keep it as ${name}`,
  leaveIt: 'leave it',
  workingItOut: 'Working it out…',
  noBikeNeededTheNumber:
    'No bike needed: the number, and what kind of drivetrain it is. Nothing is stored unless you keep it.',
  measureAChainNow: 'Measure a chain now.',
  measureAChain: 'Measure a chain',
  with: 'With',
  drivetrainItsLimitDepends: 'Drivetrain: its limit depends on it',
  pickTheKindOfDrivetrain: 'Pick the kind of drivetrain.',
  measureOnATight:
    'Measure on a tight run: big ring, big cog. Power off and battery out on an electric bike. Keep fingers and loose sleeves out of a turning cassette.',
  addThisReading: 'Add this reading',
  showTheAnswer: 'Show the answer',
}

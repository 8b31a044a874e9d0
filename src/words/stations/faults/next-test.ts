/** The words of NextTest. */
export const words = {
  halfAMinute: 'half a minute',
  oneAndAHalf: 'one and a half minutes',
  nextTest: 'Next test',
  noTestThatIsLeft: 'No test that is left would tell much more. A mechanic may see what the eye missed.',
  offerThoseThatWere: 'Offer those that were put off',
  itTellsMostForIts: (way: string, minutes: string) =>
    `${way}, ${minutes}. It tells most for its time and danger.`,
  electricBikePowerOff: 'Electric bike: power off and battery out first.',
  notNow: 'Not now',
  anotherTest: 'Another test',
}

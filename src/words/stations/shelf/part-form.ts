/** The words of part-form. */
export const words = {
  joiningLink: 'joining link',
  cassetteOrSingleCog: 'cassette or single cog',
  guidePulley: 'guide pulley',
  tensionPulley: 'tension pulley',
  aShorterNameOfAtMost: (name: number) => `A shorter name, of at most ${name} letters.`,
  aFewWordsAre: 'A few words are enough.',
  forHowManySpeeds: 'For how many speeds is it made?',
  countTheLinks: 'Count the links.',
  howOftenMayItBe: 'How often may it be closed?',
  howOftenWasItClosed: 'How often was it closed?',
  aDistanceOrNothing: 'A distance, or nothing.',
  howOftenMayItBeClosed: 'How often may it be closed? Its packet says; 1 for single use.',
  chain: 'Chain',
  joiningLink2: 'Joining link',
  guidePulley2: 'Guide pulley',
  tensionPulley2: 'Tension pulley',
}

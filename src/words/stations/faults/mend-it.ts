/** The words of MendIt. */
export const words = {
  mended: (name: string) => `${name}: mended.`,
  foundNotMendedYet: (name: string) => `${name}: found, not mended yet.`,
  electricBikePowerOff: 'Electric bike: power off and battery out first.',
  theMakersInstructionsAndTorques: 'The maker’s instructions and torques come first.',
  forAQualifiedMechanic: (mechanic: string) => ` For a qualified mechanic: ${mechanic}`,
  somethingElseAsWell: 'Something else as well?',
  itIsMended: 'It is mended',
  foundNotMendedYet2: 'Found, not mended yet',
  backToTheSearch: 'Back to the search',
  mend: (causeWith: string) => `Mend: ${causeWith}`,
}

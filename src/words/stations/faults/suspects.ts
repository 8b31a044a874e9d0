/** The words of Suspects. */
export const words = {
  beforeAnythingWasAnswered: (chance: string, why: string) =>
    `Before anything was answered: ${chance}. ${why}`,
  fromYourLogBecame: (chance: string, chance2: string, by: string) =>
    `From your log: ${chance} became ${chance2}: ${by}.`,
  whatMayBeBehind: 'What may be behind it',
  severalMayBeTrue: 'Several may be true at once. Open one to see why.',
  workingItOutWhat: 'Working it out: what the road did to the teeth. Until then, worn cogs are a guess.',
  thisIsItMend: 'This is it: mend it',
  somethingElse: 'something else',
  showTheLikeliestOnly: 'Show the likeliest only',
  showAll: (count: number) => `Show all ${count}`,
}

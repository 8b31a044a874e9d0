/** The words of DensityChart. */
export const words = {
  almostCertainlyPastIt: 'almost certainly past it',
  pastIt: (chance: string) => `${chance} past it`,
  bLimit: (limit: string, chance: string) => `{b|limit ${limit}}\n${chance}`,
  elongationIsProbablyToMost: (figure: string, figure2: string, figure3: string, limit: string) =>
    `Elongation is probably ${figure} to ${figure2} %, most likely about ${figure3} %; the limit is ${limit} %.`,
  limit: 'Limit',
  chanceOfBeingPast: 'Chance of being past it',
  early: 'early',
  late: 'late',
}

/** The words of WhatIfForm. */
export const words = {
  twelveWhatIfsAre: 'Twelve what-ifs are on the bench. Take one off first.',
  isOnTheBench: (name: string) => `${name} is on the bench already.`,
  isOnTheBench2: (name: string) => `${name} is on the bench.`,
  ring: (largest: number) => `Ring ${largest}`,
  oneRingInPlace: 'One ring in place of them',
  whatIf: 'What if',
  ringsAndCogsAs: 'Rings and cogs as they might be. A range like 11-34 offers the usual cassettes.',
  pickOneOfTheCassettes: 'Pick one of the cassettes below, or type every cog.',
  rings: 'Rings',
  cogs: 'Cogs',
  compare: 'Compare',
}

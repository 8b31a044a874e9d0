/** The words of ChainAndFit. */
export const words = {
  measureTheChainstayFirst: 'Measure the chainstay first.',
  noChainGoesRound: 'No chain goes round these with this chainstay. Check the figures.',
  linksByTheFormula: (links: number) => `${links} links by the formula`,
  n2More: ', 2 more',
  goRoundRingAndCog: (exact: string, ring: number, cog: number, phrase: string) =>
    `: ${exact} go round ring ${ring} and cog ${cog}${phrase}, up to an even number.`,
  asManyAsNow: ' As many as now.',
  more: 'more',
  fewer: 'fewer',
  thanNow: (more: number, phrase: string, links: number) => ` ${more} ${phrase} than now (${links}).`,
  byLayingItRound: (links: number) => `${links} by laying it round`,
  chainOverRingAndCog: (ring: number, cog: number, meetAt: number) =>
    `: chain over ring ${ring} and cog ${cog}, past the derailleur. The ends meet at ${meetAt}; add one pair of links.`,
  chainOverRingAndCogThe: (meetAt: number) =>
    `: chain over ring and cog, the wheel in the middle of its slot. The ends meet at ${meetAt}.`,
  theTwoDifferByAPair: 'The two differ by a pair: take the longer, and check the slack.',
  asItIs: 'as it is',
  chainAndFit: (phrase: string) => `Chain and fit: ${phrase}`,
  chainstayMm: 'Chainstay, mm',
  guessedFromTheChain: 'guessed from the chain that is on; measure from axle to axle',
  fromAxleToAxle: 'from axle to axle',
  enterWhatItsDerailleur: 'Enter what its derailleur takes, on the shelf',
  thenLimitScrewsAtBoth:
    'Then: limit screws at both ends, the gap of the upper pulley to the largest cog, cable tension. With one ring: a clutch or a ring with tall teeth, and a chain line that points to the middle of the cassette.',
  aChainThatIsToo:
    'A chain that is too short tears off the derailleur. Shift by hand to the largest ring and cog before you ride. The makers’ limits come first.',
  oneRingInPlace: 'One ring in place of two',
  lostAtTheEasy: (lost: string, lost2: string, widestStepPercent: number, widestStepPercent2: number) =>
    `Lost at the easy end: ${lost}; at the hard end: ${lost2}. Widest step ${widestStepPercent}\u00a0% in place of ${widestStepPercent2}\u00a0%.`,
}

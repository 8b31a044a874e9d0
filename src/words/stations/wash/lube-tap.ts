/** The words of LubeTap. */
export const words = {
  to: (aboutKm: string, aboutKm2: string) => `${aboutKm} to ${aboutKm2}`,
  chain: (seen: string) => `Chain: ${seen}.`,
  howDoesTheChain: 'How does the chain look and sound now?',
  oneTapBeforeYou: 'One tap, before you touch it.',
  theChainIs: 'The chain is',
  howLongLastsOnYour: (lube: string) => `How long ${lube} lasts on your chains`,
  onDryRoad: 'On dry road',
  aGuessSoFar: (range: string) => `A guess so far: ${range}. Every tap above teaches more.`,
  firstAGuessOfAfter: (range: string, count: string, range2: string) =>
    `First a guess of ${range}; after ${count} probably ${range2}.`,
  inTheWetItGoes: 'In the wet it goes faster than we assume',
  aGuessSoFar2: ', a guess so far',
  byAFactorOfTo: (figure: string, figure2: string, phrase: string) =>
    `by a factor of ${figure} to ${figure2}${phrase}.`,
}

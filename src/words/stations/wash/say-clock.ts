/** The words of say-clock. */
export const words = {
  theLubeOnS: (name: string) => `The lube on ${name}’s chain is not entered.`,
  sChainIsBare: (name: string) => `${name}’s chain is bare: wipe it and lubricate before it is ridden.`,
  mudHasRuinedTheOnS: (lube: string, name: string) =>
    `Mud has ruined the ${lube} on ${name}’s chain: clean and lubricate it.`,
  rainHasWashedOut: (name: string) =>
    `Rain has washed out the dry lube on ${name}’s chain: dry it and lubricate.`,
  hasStoodOverDays: (name: string, kept: number, kept2: string) =>
    `${name} has stood over ${kept} days ${kept2}: wipe the chain and lubricate before riding.`,
  theOnSChain: (lube: string, name: string) =>
    `The ${lube} on ${name}’s chain is used up: wipe it and lubricate.`,
  untilAbout: (day: string) => `, until about ${day}`,
  theOnSChainIs: (lube: string, name: string, aboutKm: string, phrase: string) =>
    `The ${lube} on ${name}’s chain is good for about ${aboutKm} more on the roads of this time of year${phrase}.`,
  logWhatYouPut:
    'Log what you put on, and the clock runs from there: by distance, rain, mud and days standing.',
  aGuess: 'a guess',
  asYourChainsHave: 'as your chains have shown',
  lifeOfDryRoad: (aboutKm: string, phrase: string) =>
    ` Life: ${aboutKm} of dry road, ${phrase}; rain, dust and salt shorten it.`,
  notRiddenSince: 'not ridden since',
  ago: (km: string) => `${km} ago`,
  since: (count: string) => ` ${count} since.`,
  putOn: (ago: string, ridden: string, phrase: string, life: string) =>
    `Put on ${ago}, ${ridden}.${phrase}${life}`,
}

/** The words of say-place. */
export const words = {
  pastItsLimitOf: (limit: string) => `, past its limit of ${limit}\u00a0%`,
  theChainThenProbably: (percent: string, figure: string, figure2: string, phrase: string) =>
    `: the chain then probably at ${percent}, ${figure} to ${figure2}${phrase}`,
  fromToday: (aboutKm: string, likely: string) => `${aboutKm} from today${likely}.`,
  theRoadBeginsWithTheFirst: 'The road begins with the first ride.',
  conditionsNotSetProbably: (condition: string) => `conditions not set, probably ${condition}`,
  noChainInTheLog: (road: string) => `${road} No chain in the log.`,
  probablyAtTo: (percent: string, figure: string, figure2: string) =>
    `, probably at ${percent}, ${figure} to ${figure2}`,
  onIt: (road: string, name: string, km: string, phrase: string) => `${road} ${name}, ${km} on it${phrase}.`,
  andMore: (count: number) => `, and ${count} more`,
}

/** The words of ChainLoop. */
export const words = {
  aChainOfLinks: (links: number, ring: number, cog: number, fewest: number) =>
    `A chain of ${links} links does not go round a ring of ${ring} and a cog of ${cog}: that takes ${fewest} or more. Check them on the Shelf.`,
  link: (link: number, label: string) => `link ${link}: ${label}`,
  joiningLink: 'joining link',
  noPlacesReadYet: 'No places read yet.',
  link2: (link: number, label: string) => `link ${link}, ${label}`,
  readAt: (places: string) => `Read at ${places}.`,
  aChainOfLinksRound: (links: number, ring: number, cog: number, turns: string, phrase: string) =>
    `A chain of ${links} links round a ${ring}-tooth ring and a ${cog}-tooth cog; once round is ${turns} crank turns. ${phrase}`,
  linksOnceRound: (links: number) => `${links} links, once round`,
  isCrankTurns: (turns: string) => `is ${turns} crank turns`,
}

/** The words of LinkWalk. */
export const words = {
  nothingFoundSoFar: 'nothing found so far',
  linkOf: (at: number, links: number, phrase: string) => `Link ${at} of ${links}; ${phrase}.`,
  allLinksSound: 'All links sound.',
  noted: (count: string) => `${count} noted.`,
  linkByLink: 'Link by link',
  whichChain: 'Which chain?',
  oneBack: 'One back',
  linkOf2: (at: number, links: number) => `link ${at} of ${links}`,
  oneOn: 'One on',
  halfACrankTurn: 'Half a crank turn on',
  link: (link: number, fault: string) => `Link ${link}, ${fault}.`,
  allLinksAreSound: 'All links are sound',
  saveWhatWasFound: 'Save what was found',
}

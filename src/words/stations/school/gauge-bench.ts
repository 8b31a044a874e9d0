/** The words of GaugeBench. */
export const words = {
  whereOnTheChain: 'Where on the chain it is put',
  linksFromTheJoining: (from: number) => `${from} links from the joining link`,
  joiningLink: 'joining link',
  pitches: (span: number) => `${span} pitches`,
}

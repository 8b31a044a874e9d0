/** The words of GaugeLesson. */
export const words = {
  doesTheSideOfTheGo: (limit: string, instrument: string) =>
    `Does the ${limit} % side of the ${instrument} go in?`,
  howLongIsThisChain: (instrument: string) => `How long is this chain, by the ${instrument}?`,
  putItOnAs:
    'Put it on as you would at the stand: chain tight, off the joining link, the right side, no force. Drag the chain, or use the arrow keys.',
  howItIsPut: 'How it is put on',
  oneLinkBack: 'One link back',
  oneLinkOn: 'One link on',
  tenLinksOn: 'Ten links on',
  theChain: 'The chain',
  bigRingBigCog: 'big ring, big cog, held tight',
  smallCogHanging: 'small cog, hanging',
  sideTowardsTheChain: 'Side towards the chain',
  howFarIn: 'How far in',
  pushedWithTheThumb: 'pushed with the thumb',
  byItsOwnWeight: 'by its own weight',
  backToSchool: 'Back to School',
}

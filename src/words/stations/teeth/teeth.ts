/** The words of Teeth. */
export const words = {
  theOneOnIt: 'the one on it',
  addOneWithIts: 'Add one with its cogs and rings, and say here how their teeth look.',
  goToTheShelf: 'Go to the shelf',
  noCogsOrRings: (name: string) => `No cogs or rings are entered for ${name} yet.`,
  everySprocket: 'Every sprocket',
  workingItOutWhat: 'Working it out: what the road did to each tooth…',
  withWhichChain: 'With which chain?',
  aFreshOne: 'a fresh one',
  theBarIs50: 'The bar is 50 mm; all at one scale.',
  theIsTheChains:
    'The % is the chain’s elongation that the teeth have shaped themselves to. The range below it holds 8 times in 10. The chance is that a chain skips under one hard push.',
  itSlipsAndYou: 'It slips, and you are not sure that it is the teeth? Find the fault.',
  checks: 'Checks',
}

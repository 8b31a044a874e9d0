/** The words of WashEnd. */
export const words = {
  notLubed: ', not lubed',
  goesOnOntoTheShelf: (name: string, name2: string, name3: string) =>
    `${name} goes on ${name2}; ${name3} onto the shelf.`,
  joinedWith: 'Joined with',
  joinedWith2: (ofText: string) => `${ofText} joined with`,
  againClosingOf: (name: string, closing: number, allowed: number) =>
    `${name} again: closing ${closing} of ${allowed}`,
  aFreshJoiningLink: 'a fresh joining link',
  itsMakerAllowsAJoining: (count: string) =>
    `Its maker allows ${count}. A joining link that is closed too often can open by itself.`,
  washLogged: 'Wash logged.',
  nothingWasDoneToAChain: 'Nothing was done to a chain.',
  doneIn: (count: string) => `Done in ${count}.`,
  cleanedAndNotLubricated:
    'Cleaned, and not lubricated: a bare chain wears about three times as fast, and rusts. Go back and lubricate it before it is ridden.',
  itStaysWithoutLube: 'It stays without lube for now',
  closeIt: 'Close it',
  logTheWash: 'Log the wash',
  goOnWashing: 'Go on washing',
  measureItWhileItIsClean: 'Measure it while it is clean',
}

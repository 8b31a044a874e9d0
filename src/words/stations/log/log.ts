/** The words of Log. */
export const words = {
  entries: 'Entries',
  find: 'Find',
  saltChain2Rule: 'salt, chain 2, rule…',
  kind: 'Kind',
  about: 'About',
  from: 'From',
  to: 'To',
  anyKind: 'any kind',
  everythingTheAppSays:
    'Everything the app says is worked out from these. Nothing is overwritten: a correction takes an entry’s place and can be undone, and what was undone can be restored.',
  ofThemDatedInTheFuture: (ahead: number) => `, ${ahead} of them dated in the future`,
  found: (count: string) => `${count} found`,
  newestFirst: 'Newest first',
  showCorrectedAndUndone: 'show corrected and undone entries',
  theLogIsEmpty: 'The log is empty. It begins with a bike, on the Shelf.',
  nothingLikeThatIsInThe: 'Nothing like that is in the log. Try fewer words, or another kind.',
  new: (name: string) => `New ${name}`,
  anything: 'anything',
}

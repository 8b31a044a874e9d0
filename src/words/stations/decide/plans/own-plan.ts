/** The words of OwnPlan. */
export const words = {
  newChainAt: 'New chain at, %',
  chainsInTurn: 'Chains in turn',
  changeThemEveryKm: 'Change them every, km',
  lube: 'Lube',
  dripLube: 'drip lube',
  hotWax: 'hot wax',
  hardCoatedChains: 'Hard-coated chains?',
  singleCogsWhereSold: 'Single cogs where sold?',
  aLargerRing: 'A larger ring?',
  compareIt: 'Compare it',
  yes: 'yes',
}

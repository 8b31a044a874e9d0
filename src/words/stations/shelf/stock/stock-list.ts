/** The words of StockList. */
export const words = {
  oneUsedOn: (item: string, name: string) => `One ${item} used on ${name}.`,
  isOffTheList: (name: string) => `${name} is off the list.`,
  lastPaid: (exactMoney: string) => `last paid ${exactMoney}`,
  of: (minimum: number) => `of ${minimum}`,
  useOneOn: (name: string, name2: string) => `Use one ${name} on ${name2}`,
  useOne: 'use one',
  bought: (name: string) => `Bought ${name}`,
  bought2: 'bought',
  change: (name: string) => `Change ${name}`,
  change2: 'change',
  takeOffTheList: (name: string) => `Take ${name} off the list`,
  remove: 'remove',
  inStock: 'In stock',
  spareChainsJoiningLinks:
    'Spare chains, joining links, lube, cables: count them here, and the list of what to buy knows what is there.',
  whetherItGoesOnByWhat: (name: string) =>
    `Whether it goes on ${name}, by what is known of both. The maker knows more.`,
  addToStock: 'Add to stock',
  whatSPartsMust: (name: string) => `what ${name}’s parts must fit`,
  newOnTheShelf: 'New on the shelf',
  bought3: (name: string) => `Bought: ${name}`,
  whatSPartsMustFit: (name: string) => `What ${name}’s parts must fit`,
  leaveEmptyWhatYou: 'Leave empty what you do not know: it is then left to the maker.',
}

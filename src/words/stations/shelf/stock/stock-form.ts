/** The words of StockForm. */
export const words = {
  howManyAreThere: 'How many are there?',
  giveItAName: 'Give it a name.',
  howFewIsToo: 'How few is too few?',
  whatDidOneCost: 'What did one cost?',
  isOnTheShelf: (name: string) => `${name} is on the shelf.`,
  name: 'Name',
  whatItIs: 'What it is',
  howMany: 'How many',
  keepAtLeast: 'Keep at least',
  whereItLies: 'Where it lies',
  paidForOne: (currency: string) => `Paid for one, ${currency}`,
  ofThoseThatAre: 'Of those that are added now.',
  save: 'Save',
}

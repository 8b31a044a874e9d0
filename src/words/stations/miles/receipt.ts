/** The words of Receipt. */
export const words = {
  noChainWasOnTheBike: 'No chain was on the bike on those days.',
  takes: 'Takes',
  adds: 'Adds',
  from: 'from',
  to: 'to',
  less: ' less',
  more: ' more',
  ofWearDistance: (phrase: string, name: string, km: string, phrase2: string) =>
    `${phrase} ${name}: ${km} of wear distance${phrase2}.`,
  whereEachFigureComes: 'Where each figure comes from',
  andMoreEachCan: (count: number) => `And ${count} more. Each can be opened in the log.`,
  whatWasAdded: 'What was added',
  added: (count: string) => `${count} added.`,
  hideThis: 'Hide this',
}

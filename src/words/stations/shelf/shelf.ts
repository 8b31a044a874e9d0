/** The words of Shelf. */
export const words = {
  lent: 'lent',
  retired: 'retired',
  spare: 'spare',
  since: (day: string) => `since ${day}`,
  lentTo: (lentTo: string) => `lent to ${lentTo}`,
  andAnUnknownPast: ', and an unknown past',
  afterBeforeItCame: (km: string) => ` after ${km} before it came`,
  soldSingly: (soldSingly: string) => `${soldSingly} sold singly. `,
  closedOfTimes: (closingsOf: number, closingsAllowed: number) =>
    `Closed ${closingsOf} of ${closingsAllowed} times. `,
  historyOf: (name: string) => `History of ${name}`,
  history: 'history',
  move: 'move',
  aNewBike: 'A new bike',
  onlyWhatTheFirst: 'Only what the first answer takes. Cogs, rings and the rest can follow.',
  everythingBeginsWithABike:
    'Everything begins with a bike: its name, its kind of drivetrain, and the chain on it.',
  offIt: (count: number) => `, ${count} off it`,
  onItInTheLog: (count: string, phrase: string, count2: string) =>
    `${count} on it${phrase}. ${count2} in the log.`,
  addABike: 'Add a bike',
  edit: (name: string) => `edit ${name}`,
  aBike: 'a bike',
  onFor: (replace: string, km: string) => `, on ${replace} for ${km}.`,
  withoutAChainInTheLog: ', without a chain in the log.',
  notOnIt: 'Not on it',
  addAPart: 'Add a part',
  aNewPart: 'A new part',
  forTheShelfOrTheBike: 'For the shelf or the bike. Checks before it goes on are shown here.',
  edit2: (name: string) => `Edit ${name}`,
  move2: (name: string) => `Move ${name}`,
}

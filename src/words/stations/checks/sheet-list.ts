/** The words of SheetList. */
export const words = {
  min: (phrase: number) => `${phrase}\u00a0min`,
  sheets: 'Sheets',
  inTheOrderOfTheRound: 'In the order of the round. What the bike does not have is left out.',
  due: 'due',
  halfDoneToGo: (count: string) => `Half done: ${count} to go.`,
  next: (day: string) => ` Next: ${day}.`,
  about: (phrase: string, count: string, minutesSaid: string) => `${phrase} ${count}, about ${minutesSaid}.`,
  goOn: 'Go on',
  start: 'Start',
  iHaveMinutes: (minutes: number) => `I have ${minutes} minutes`,
  whatMattersMostComes:
    'What matters most comes first: how bad a fault would be, and how long ago you looked.',
  minutes: 'Minutes',
  min2: (value: string) => `${value} min`,
  thatIsTooShort: 'That is too short for any of it.',
  startThese: 'Start these',
}

/** The words of MovePart. */
export const words = {
  retired: 'retired',
  onTheShelf: 'on the shelf',
  toSomebodyOnLoan: 'to somebody, on loan',
  fitted: 'fitted',
  takenOff: 'taken off',
  itWasOnThatDay: (phrase: string, day: string) => `It was ${phrase} on ${day}: that day is before it.`,
  bike: (bike: string) => `bike ${bike}`,
  onto: (name: string) => `onto ${name}`,
  isOn: (name: string, name2: string) => `${name} is on ${name2}.`,
  went: (name: string, phrase: string) => `${name} went ${phrase}.`,
  whereTo: 'Where to',
  toWhom: 'To whom',
  day: 'Day',
  fromThatDayIts: (name: string) =>
    `From that day its distance is counted on ${name}; what is there now of its kind comes off.`,
  logTheMove: 'Log the move',
}

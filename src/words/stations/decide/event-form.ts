/** The words of event-form and EventForm. */
export const words = {
  giveItAName: 'Give it a name: “spring tour”.',
  giveTheDayOnWhich: 'Give the day on which it begins.',
  howManyDays: 'How many days?',
  km: 'km',
  miles: 'miles',
  giveTheDistanceInAs: (phrase: string) => `Give the distance in ${phrase}, as a figure.`,
  aDistanceOverNothing: 'A distance over nothing.',
  saved: (name: string) => `${name} saved.`,
  what: 'What',
  begins: 'Begins',
  days: 'Days',
  distanceKm: 'Distance, km',
  distanceMiles: 'Distance, miles',
  conditions: 'Conditions',
  saveEvent: 'Save event',
}

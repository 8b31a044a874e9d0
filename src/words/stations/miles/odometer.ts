/** The words of Odometer. */
export const words = {
  giveTheFigureItShows: 'Give the figure it shows.',
  itShowedOnMore: (km: string, day: string) =>
    `It showed ${km} on ${day}, more than that. Check the figure, or tick “count restarted”.`,
  sComputer: (name: string, km: string) => `${name}’s computer: ${km}.`,
  bikeComputer: 'Bike computer',
  lastOn: (km: string, day: string) => `Last ${km} on ${day}.`,
  theFirstFigureIsTheStart:
    'The first figure is the start. Each later one adds the distance that no ride covers.',
  andTheOtherAre: (km: string) => `, and the other ${km} are spread over those days.`,
  sinceItCountedRides: (day: string, km: string, km2: string, phrase: string) =>
    ` Since ${day} it counted ${km}; rides account for ${km2}${phrase}`,
  itShowsKm: 'It shows, km',
  itShowsMiles: 'It shows, miles',
  on: 'On',
  countRestarted: 'count restarted',
  saveTheFigure: 'Save the figure',
  countsOn: 'counts on',
}

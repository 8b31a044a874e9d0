/** The words of RideByHand. */
export const words = {
  giveTheDistance: 'Give the distance.',
  aRideIsLonger: 'A ride is longer than nothing.',
  addedTo: (km: string, name: string) => `${km} added to ${name}.`,
  oneByHand: 'One by hand',
  day: 'Day',
  distanceKm: 'Distance, km',
  distanceMiles: 'Distance, miles',
  conditions: 'Conditions',
  addTheRide: 'Add the ride',
}

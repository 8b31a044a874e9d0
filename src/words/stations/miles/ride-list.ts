/** The words of RideList. */
export const words = {
  rideOfTakenOut: (day: string) => `Ride of ${day} taken out.`,
  putBack: 'Put back',
  rides: 'Rides',
  newestFirst: (count: string) => `${count}, newest first.`,
  noneYetDropRecorded: 'None yet. Drop recorded rides in, or add one by hand.',
  byTheBikesComputer: 'by the bike’s computer',
  notSetProbably: (condition: string) => `not set, probably ${condition}`,
  correctTheRideOf: (day: string, km: string) => `Correct the ride of ${day}, ${km}`,
  removeTheRideOf: (day: string, km: string) => `Remove the ride of ${day}, ${km}`,
}

/** The words of table-rides. */
export const words = {
  isNoDate: (cell: string) => `“${cell}” is no date.`,
  noRideWasRidden: (cell: string) =>
    `“${cell}”: no ride was ridden in that year. Mend the date in the table.`,
  isNoDistance: (cell: string) => `“${cell}” is no distance.`,
  aRideIsLonger: 'A ride is longer than nothing.',
  kmInOneRide: (km: number) => `${km} km in one ride: is the unit right?`,
}

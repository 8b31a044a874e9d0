/** The words of TrackDates. */
export const words = {
  holdsThePointsOfARide: (count: number) =>
    `holds the ${count} points of a ride. Its dates could be read in two ways: the first row begins with`,
  itsDatesAreWritten: 'Its dates are written',
  dayMonthYear: 'day, month, year',
  monthDayYear: 'month, day, year',
  readTheRide: 'Read the ride',
  leaveThisTable: 'Leave this table',
}

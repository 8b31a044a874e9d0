/** The words of recorded-ride. */
export const words = {
  thereAreNoPoints: 'There are no points in the file. Export the ride again, or add it by hand.',
  itsPointsHaveNo:
    'Its points have no times that can be read, so it is not clear when it was ridden. Add the ride by hand.',
}

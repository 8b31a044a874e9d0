/** The words of day-sheet. */
export const words = {
  theDaysList: 'The day’s list',
  beingWorkedOut: 'Being worked out.',
  brakesThatDoNot:
    'Brakes that do not hold, steering that binds, a crack: the bike is not ridden. The makers’ instructions come before this list.',
}

/** The words of PlanChoice. */
export const words = {
  howFarInAWeek: 'How far in a week?',
  theRecentAverageIsUsed: (name: string) => `${name}: the recent average is used.`,
  aWeekPlanned: (name: string, km: string) => `${name}: ${km} a week planned.`,
  basedOnAWeek: (km: string) => `Based on ${km} a week, as you set.`,
  basedOnAboutAWeek: (aboutKm: string) =>
    `Based on about ${aboutKm} a week, your average of the last twelve weeks, in the usual conditions of the season.`,
  noRidesInTheLast: 'No rides in the last twelve weeks: there are distances, but no days.',
  leaveIt: 'Leave it',
  change: 'Change',
  useTheRecentAverage: 'Use the recent average',
  aWeekKm: 'A week, km',
  aWeekMiles: 'A week, miles',
  savePlan: 'Save plan',
}

/** The words of data-package. */
export const words = {
  joltMileBikesParts: 'Jolt Mile: bikes, parts, readings and what follows from them',
  distancesInKmLengths:
    'Distances in km, lengths in mm, elongation in % of nominal pitch, times in UTC. Rows are what counts: corrected and undone entries are only in a backup.',
}

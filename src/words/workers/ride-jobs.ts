/** The words of ride-jobs. */
export const words = {
  thePartOfTheApp: 'The part of the app that reads this kind of file could not be loaded. Reload the page.',
  theFileCouldNot: 'The file could not be opened. Choose it again, or another copy.',
  theArchiveIsOver: 'The archive is over 1 GB. Drop it in parts.',
  itHasMbLarger: (size: number) => `It has ${size} MB: larger than any ride. Export the ride by itself.`,
}

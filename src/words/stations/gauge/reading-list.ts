/** The words of ReadingList. */
export const words = {
  readingLeftOut: 'Reading left out.',
  readingCountedAgain: 'Reading counted again.',
  counts: (name: string, read: string) => `${name}, ${read}: counts`,
  slack: ', slack',
  link: (linksFromJoint: number) => `link ${linksFromJoint}`,
  leftOut: 'left out',
  readings: 'Readings',
  tickTheReadingsToCount: 'Tick the readings to count.',
  noneYet: 'None yet.',
  at: (km: string) => `at ${km}`,
}

/** The words of use-backup-in. */
export const words = {
  cameInNewFromHere: (entries: string, file: string, count: string) =>
    `${entries} came in new from ${file}; ${count} here already.`,
  wereWrittenByAClock: (entries: string) =>
    `${entries} were written by a clock that runs ahead; they now count as written today.`,
  couldNotBeCounted: (entries: string) => `Not counted, and kept aside below: ${entries}.`,
  inTheFileWere: (entries: string) => `${entries} in the file were undone or taken out here, and stay so.`,
  reading: (name: string) => `Reading ${name}…`,
  cancelledNothingWasChanged: 'Cancelled. Nothing was changed.',
  addingWhatIsNew: (name: string) => `Adding what is new in ${name}…`,
  itIsTheDemos: (file: string, entries: string) =>
    `${file} holds the made-up records of the demo garage: ${entries}. This is your own log.`,
  itIsSomebodys: (file: string, entries: string) =>
    `${file} holds somebody’s own records: ${entries}. This is the demo garage, which is emptied whenever it is started again.`,
  leftAlone: 'Left alone. Nothing was changed.',
  allTakenOut: 'All of it is taken out again.',
  changedHere: (entries: string) => `It changed ${entries} of this log: see Today.`,
  twoVersions: (entries: string) => `In ${entries} it contradicts this log: you are asked on Today.`,
  theBrowserCouldNot: 'The browser could not read or store the file; try again.',
  nothingWasChanged: (why: string) => `${why} Nothing was changed.`,
}

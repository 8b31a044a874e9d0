/** The words of BatchReview. */
export const words = {
  andMoreAllInTheList: (count: number) => `And ${count} more, all in the list that can be saved.`,
  addedTo: (count: string, name: string, km: string) => `${count} added to ${name}, ${km}.`,
  allOfThemWere: 'All of them were in the log already.',
  itGoes: 'it goes',
  theyGo: 'they go',
  worthALookBefore: (count: string, phrase: string) =>
    `${count} worth a look before ${phrase} in: listed first.`,
  takesThePlaceOfAPoorer: 'Takes the place of a poorer recording',
  alreadyInTheLog: 'Already in the log, not added again',
  couldNotBeRead: 'Could not be read',
  ridesLeftOutCsv: (name: string) => `${name} rides left out.csv`,
  saveThisList: 'Save this list',
  conditions: 'Conditions',
  notSetYetSort: 'not set yet: sort later',
  theUsual: (usual: string) => `the usual: ${usual}`,
  theUsualOfEach: 'the usual of each season',
  adding: 'Adding…',
  add: (count: string, km: string) => `Add ${count}, ${km}`,
  nothingWasAdded: 'Nothing was added.',
  leaveThem: 'Leave them',
  goBack: 'Go back',
}

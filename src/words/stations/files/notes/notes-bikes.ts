/** The words of NotesBikes. */
export const words = {
  aNewBike: (said: string) => `a new bike: ${said}`,
  myBike: 'My bike',
  theNotesAreAbout: 'The notes are about',
  is: (name: string) => `“${name}” is`,
  itsName: 'Its name',
  giveItAName: 'Give it a name.',
  mostlyRiddenIn: 'Mostly ridden in',
  bikesOfTheNotes: 'Bikes of the notes',
  choose: 'choose',
}

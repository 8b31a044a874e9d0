/** The words of AddRides. */
export const words = {
  line: (file: string, line: number) => `${file}, line ${line}`,
  theFilesCouldNot: 'The files could not be read. Nothing was added; try them again, fewer at once.',
  cancelledNothingWasAdded: 'Cancelled. Nothing was added.',
  addRidesTo: (name: string) => `Add rides to ${name}`,
  gpxTcxFitACsv:
    'GPX, TCX, FIT, a CSV table, or a ZIP of them. They are read in this browser and go nowhere else.',
  rideFiles: 'Ride files',
  chooseFiles: 'Choose files',
  dropRideFilesHere: 'Drop ride files here, several at once.',
  readingFileOf: (done: number, ofText: number) => `Reading file ${done} of ${ofText}`,
  cancel: 'Cancel',
}

/** The words of DataOut. */
export const words = {
  makingTheDataPackage: 'Making the data package',
  makeAnother: 'Make another',
  cancel: 'Cancel',
  dataPackage: 'Data package',
  bikesPartsRidesReadings:
    'Bikes, parts, rides, readings, washes, checks, costs and today’s forecasts as CSV tables in one ZIP, with units and keys (datapackage.json). Opens in any spreadsheet.',
  leaveOutNamesAndPlaces: 'Leave out names and places',
  saveTheDataPackage: 'Save the data package',
}

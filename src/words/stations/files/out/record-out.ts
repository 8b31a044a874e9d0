/** The words of RecordOut. */
export const words = {
  record: 'record',
  itsSheetAsPdf: 'Its sheet as PDF',
  oneBikesRecord: 'One bike’s record',
  forWhoeverRidesOrMends:
    'For whoever rides or mends it next: its parts, rides, readings and washes in one file, and a sheet to read. A part alone brings what it has done and what was measured last.',
  recordOf: 'Record of',
  leaveOutNamesPlaces: 'Leave out names, places and notes',
  leaveOutPricesAndVisits: 'Leave out prices and visits',
  saveTheRecord: 'Save the record',
}

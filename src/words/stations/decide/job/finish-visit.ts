/** The words of FinishVisit. */
export const words = {
  notDoneThisTime: 'Not done this time.',
  theOwnersSheetIsWritten: 'The owner’s sheet is written.',
  seeToIt: (by: string) => `see to it ${by}`,
  whyNot: (name: string) => `Why not: ${name}`,
  enterTheNewChain: 'Enter the new chain on the Shelf too, so that its distance counts from now.',
  saveTheSheet: 'Save the sheet',
}

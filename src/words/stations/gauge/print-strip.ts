/** The words of PrintStrip. */
export const words = {
  printAStripAndATooth: 'Print a strip and a tooth card',
  aPaperStripOver:
    'A paper strip over 20 pitches, read with its vernier to 0.1 mm, is as good as many gauges.',
  cardForASprocket: 'Card for a sprocket of, teeth',
  saveTheSheetAs: 'Save the sheet as PDF',
  printItAt100:
    'Print it at 100 %, measure the check bar, and name it among your tools with what the bar measures.',
}

/** The words of printed-sheet. */
export const words = {
  layThisEdgeOnTheEdge: 'lay this edge on the edge of a pin',
  n20PitchesOnRead: '20 pitches on, read the same edge of the pin',
  vernierCutItOut:
    'Vernier: cut it out, set its first line to the pin; the line that meets a millimetre tells the tenths.',
  thisBarShouldMeasure:
    'This bar should measure 200 mm. Print at 100 %, measure it, and type in what it measures.',
  halfOfItTurn: '; half of it, turn the part',
  teethNewLayThePart: (teeth: number, phrase: string) =>
    `${teeth} teeth, new: lay the part on it, its centre on the cross${phrase}`,
  joltMilePrintedStrip: 'Jolt Mile: printed strip and tooth card',
}

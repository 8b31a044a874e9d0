/** The words of xml-events. */
export const words = {
  onLineThereIsAnAnd: (count: number) =>
    `On line ${count} there is an “&” by itself, where the format needs “&amp;”. Remove it of the name and export the ride again.`,
  theFileIsCut: (count: number, open: string) =>
    `The file is cut short: it ends on line ${count} in the middle of a ${open}. Copy or export it again.`,
  theFileIsDamaged: (line: number) =>
    `The file is damaged on line ${line}: its tags do not fit together there. Export it again.`,
  theFileIsEmpty: 'The file is empty. Export the ride again.',
  thisIsNotAFile: (what: string) =>
    `This is not a ${what} file: it does not begin like one. Choose the ride exported as ${what}.`,
}

/** The words of KeysSheet. */
export const words = {
  findAnythingDoAnything: 'find anything, do anything (Ctrl k too)',
  switchBike: 'switch bike',
  newEntry: 'new entry',
  undoTheLastStep: 'undo the last step',
  shiftU: 'Shift u',
  redoIt: 'redo it',
  showTheseKeys: 'show these keys',
  keys: 'Keys',
  theyDoNothingWhile: 'They do nothing while you type.',
  to: (name: string) => `to ${name}`,
}

/** The words of use-telling. */
export const words = {
  undo: 'Undo',
  thatIsInTheLog: 'That is in the log already. Nothing was added.',
  thereIsNothingToUndo: 'There is nothing to undo.',
  undone: (step: string) => `Undone: ${step}.`,
  redo: 'Redo',
  thereIsNothingToRedo: 'There is nothing to redo. The log shows what was undone earlier, with Restore.',
  redone: (step: string) => `Redone: ${step}.`,
  restored: (count: string) => `Restored: ${count}.`,
}

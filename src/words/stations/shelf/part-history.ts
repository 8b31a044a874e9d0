/** The words of PartHistory. */
export const words = {
  addANote: 'Add a note',
  history: 'History',
}

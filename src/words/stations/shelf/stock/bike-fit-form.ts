/** The words of BikeFitForm. */
export const words = {
  whatFitsIsSaved: (name: string) => `What fits ${name} is saved.`,
  save: 'Save',
}

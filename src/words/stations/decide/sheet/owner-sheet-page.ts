/** The words of OwnerSheetPage. */
export const words = {
  toothCog: (cog: number) => `${cog}-tooth cog`,
  theBike: 'The bike',
  saveAsPdf: 'Save as PDF',
  print: 'Print',
  backToTheDecision: 'back to the decision',
}

/** The words of OwnLimit. */
export const words = {
  whatDoesItsMaker: 'What does its maker say?',
  limit: (part: string, mm: string) => `${part}: limit ${mm}.`,
  itsMakerSaysAnother: 'Its maker says another limit',
  mm: 'mm',
  inches: 'inches',
  limit2: (phrase: string) => `Limit, ${phrase}`,
  saveTheLimit: 'Save the limit',
}

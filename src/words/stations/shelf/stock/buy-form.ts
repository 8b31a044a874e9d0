/** The words of BuyForm. */
export const words = {
  howMany: 'How many?',
  whatDidAllOfThem: 'What did all of them cost?',
  more: (name: string, count: number) => `${name}: ${count} more.`,
  howMany2: 'How many',
  paidForAllOfThem: 'Paid for all of them',
  currency: 'Currency',
  save: 'Save',
}

/** The words of FastenerForm. */
export const words = {
  aTorqueOfABolt: 'A torque of a bolt on a bike.',
  nameTheBolt: 'Name the bolt.',
  inTheBook: (said: string) => `${said}: in the book.`,
  offTheBook: (name: string) => `${name}: off the book.`,
  bolt: 'Bolt',
  size: 'Size',
  onePartSays: (name: string) => `One part says, ${name}`,
  theOtherSays: (name: string) => `The other says, ${name}`,
  theLowerOneHolds: 'The lower one holds.',
  betweenTheParts: 'Between the parts',
  aCarbonPart: 'A carbon part?',
  saveTheBolt: 'Save the bolt',
  takeItOffTheBook: 'Take it off the book',
  yes: 'yes',
}

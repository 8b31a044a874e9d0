/** The words of StrangeChecks. */
export const words = {
  oneCheckIs: 'One check is',
  checksAre: (count: number) => `${count} checks are`,
  counts: 'counts',
  count: 'count',
  it: 'it',
  them: 'them',
  ofACogThatThisCassette: (phrase: string, phrase2: string, phrase3: string) =>
    `${phrase} of a cog that this cassette does not have, and ${phrase2} for nothing. Take ${phrase3} out, or correct the cassette’s cogs:`,
}

/** The words of AskAfter. */
export const words = {
  noted: (name: string) => `${name}: noted.`,
  theFault: 'the fault',
  afterTheRepair: 'After the repair',
  wasRiddenSinceYou: (name: string, what: string, day: string) =>
    `${name} was ridden since you mended it (${what}, ${day}). Is it gone?`,
  itIsGone: 'It is gone',
  stillThere: 'Still there',
  notSure: 'Not sure',
}

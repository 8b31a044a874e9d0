/** The words of Ahead. */
export const words = {
  distanceFromNow: 'Distance from now',
  in: (aboutKm: string) => `In ${aboutKm}`,
  about: (day: string) => `, about ${day}`,
  past: (limit: string) => `, past ${limit}\u00a0%:`,
  theChainIsThen: (percent: string, figure: string, figure2: string) =>
    `. The chain is then probably at ${percent}, ${figure} to ${figure2}.`,
  workingOutWhetherTheChain: 'Working out whether the chain lasts…',
  change: (name: string) => `Change ${name}`,
  changeIt: 'Change it',
  cancel: (name: string) => `Cancel ${name}`,
  cancelIt: 'Cancel it',
  atAnyDistance: 'At any distance',
  now: 'now',
  toTheLimitAbout: (aboutKm: string, phrase: string, aboutKm2: string) =>
    `To the limit: about ${aboutKm}, in 8 of 10 such chains between ${phrase} and ${aboutKm2}.`,
  theChainIsAtIts: 'The chain is at its limit already.',
  events: 'Events',
  aTourARace: 'A tour, a race, a heavy week: will the chain last, or should it be swapped before?',
  addAnEvent: 'Add an event',
  eventsWith: (name: string) => `Events with ${name}`,
}

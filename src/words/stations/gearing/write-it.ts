/** The words of WriteIt. */
export const words = {
  probably: 'probably ',
  itsChainIsToo: (phrase: string, needed: number, links: number) =>
    `Its chain is ${phrase}too short: ${needed} links are needed, ${links} are on. Fit a longer one first.`,
  fitted: (name: string, name2: string) => `${name}: ${name2} fitted.`,
  fit: (name: string) => `Fit ${name}`,
  hasTheseGearsAlready: (name: string) => `${name} has these gears already.`,
  nothing: 'nothing',
  onOffToTheShelf: (list: string, list2: string) => `On: ${list}. Off, to the shelf: ${list2}.`,
  stop: 'Stop.',
  stop2: 'Stop. ',
  takeCare: 'Take care. ',
  look: 'Look. ',
  writeItItIsOn: (name: string) => `Write it: it is on ${name}`,
  notNow: 'Not now',
}

/** The words of GaugeTruth. */
export const words = {
  theTruthLiesWithin: 'The truth lies within.',
  theTruthLiesOutside: 'The truth lies outside.',
  fromThisOneReading: (percent: string, figure: string, figure2: string, phrase: string) =>
    `From this one reading alone: about ${percent}, probably ${figure} to ${figure2}. ${phrase}`,
  true: 'true',
  itIsLong: (percent: string) => `It is ${percent} long.`,
  youReadRight: (percent: string) => `You read ${percent}: right.`,
  much: 'much',
  little: 'little',
  youReadToo: (percent: string, figure: string, phrase: string) =>
    `You read ${percent}, ${figure} too ${phrase}.`,
  thisAddsByItself: (noise: string, figure: string) =>
    `This ${noise} adds ${figure} by itself: it spreads the rollers and measures their play too. The app takes that off.`,
  anotherOne: 'Another one',
  enoughForNow: 'Enough for now',
}

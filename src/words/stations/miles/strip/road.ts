/** The words of Road. */
export const words = {
  km: 'km',
  miles: 'miles',
  theRoadAsATable: 'The road as a table',
  chain: 'Chain',
  fitted: 'Fitted',
  distance: 'Distance',
  readings: 'Readings',
  elongation: 'Elongation, %',
  to: (figure: string, figure2: string, figure3: string) => `${figure}, ${figure2} to ${figure3}`,
  aGuess: ', a guess',
  limit: (aboutKm: string, phrase: string) => `${aboutKm}: limit${phrase}`,
  theRoadOf: (name: string) => `The road of ${name}`,
  theWearCouldNot: 'The wear could not be worked out; the road is drawn without it.',
  theLineIsTheLikely: (limitDates: string, limit: string) =>
    `${limitDates} The line is the likely elongation, the band where 8 in 10 such chains are; the limit is ${limit}\u00a0%.`,
  workingItOut: 'Working it out…',
  kindsOfRoad: 'Kinds of road',
  notSet: 'not set',
  aheadInAboutIn: (aboutKm: string, name: string, km: string, condition: string) =>
    `Ahead, in about ${aboutKm}: ${name}, ${km} in ${condition}.`,
}

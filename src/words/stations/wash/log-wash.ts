/** The words of LogWash. */
export const words = {
  oneDropToEach: (links: number, turns: string) =>
    `One drop to each of the ${links} rollers, on the inner side of the lower run, back-pedalling from the joining link: once round is ${turns} crank turns. Let it work in for a quarter of an hour, then wipe until the outside is nearly dry.`,
  cleanAndFullyDry:
    'Clean and fully dry chain, joining link left out. Swish half a minute, rest ten, swish again, hang ten to fifteen, break the links free, refit.',
  aBareChainWears: 'A bare chain wears about three times as fast. Lubricate it before it is ridden.',
  logged: (method: string, phrase: string) => `Logged: ${method}${phrase}.`,
  whatWasDone: 'What was done',
  cleaned: 'Cleaned',
  putOn: 'Put on',
  notLubed: 'not lubed',
  day: 'Day',
  logIt: 'Log it',
  neitherCleanedNorLubricated: 'Neither cleaned nor lubricated: there is nothing to log.',
}

/** The words of say-rates. */
export const words = {
  to: (two: string, two2: string, two3: string) => `${two}, ${two2} to ${two3}`,
  ridesWithoutConditions: 'rides without conditions',
  ridesWithoutEnergy: 'rides without energy',
  aBareChain: 'a bare chain',
  wetLubeInDust: 'wet lube, in dust',
  wetLubeAgainstAnother: 'Wet lube against another drip lube in dust',
  againstDripLube: (capital: string) => `${capital} against drip lube`,
  thatIsStillAGuess: ' That is still a guess.',
  timesTheWearProbably: (
    against: string,
    two: string,
    two2: string,
    two3: string,
    chance: string,
    sure: string,
  ) =>
    `${against}: ${two} times the wear, probably ${two2} to ${two3}; chance that it wears less: ${chance}.${sure}`,
  n1000Km: '1000\u00a0km',
  n1000Miles: '1000\u00a0miles',
  probably: 'probably ',
  aChainOfYours: (phrase: string, at: string, per: string, at2: string, at3: string) =>
    `A chain of yours ${phrase}lengthens by ${at}\u00a0% in ${per} of dry road, probably ${at2} to ${at3}.`,
  wearsYourChainsMost: (capital: string, two: string, two2: string, two3: string) =>
    `${capital} wears your chains most: ${two} times a dry road, probably ${two2} to ${two3}.`,
  nothingButDryRoad: 'Nothing but dry road was ridden yet, so the other roads are guesses.',
  sChain: (bike: string) => `${bike}’s chain`,
  whatHappenedToTheQuestion: (chainOf: string) =>
    `What happened to ${chainOf}: the question on Gauge is open.`,
  aCarefulLookAtWithA: (chainOf: string) =>
    `A careful look at ${chainOf}, with a caliper or two instruments.`,
  settingTheConditionsOfRides: 'Setting the conditions of rides that have none.',
  aLookBeforeAndAfter: (factor: string) =>
    `A look before and after riding with ${factor}: what it does is not well known.`,
  zeroingTheOnANew: (toolName: string) =>
    `Zeroing the ${toolName} on a new chain, or reading beside it with another tool.`,
}

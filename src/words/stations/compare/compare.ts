/** The words of Compare. */
export const words = {
  per1000Km: '% per 1000 km',
  per1000Miles: '% per 1000 miles',
  howFastEachWears: 'How fast each wears',
  measuredFromLookToLook: (per: string) =>
    `${per}, measured from look to look. The bar is where 8 in 10 lie.`,
  wearOf: (toLowerCase: string, per: string) => `Wear of ${toLowerCase}, ${per}`,
  to: (inUnits: string, inUnits2: string, inUnits3: string) => `${inUnits}, ${inUnits2} to ${inUnits3}`,
  sideBySide: 'Side by side',
  eachBesideWhichHas: (compared: string) => `Each beside ${compared}, which has the most distance.`,
  theWear: (times: string) => `${times} the wear`,
  besideRates:
    'Rates tells what a kind of road or a lube does by itself, all else alike; here stands what came of it in all, as you rode. The two need not be the same.',
  whatThisDoesNot: 'What this does not show',
  rideMeasureNowAndThen:
    'Ride, measure now and then, and this page sets your chains, lubes and bikes side by side.',
  fromYourOwnReadings:
    'From your own readings alone: how much longer each chain grew from one look to the next, and what was on it and under it meanwhile.',
  measureAChainTwice:
    'Measure a chain twice with some distance in between: then there is something to compare.',
  comparing: 'Comparing…',
  compare: 'Compare',
}

/** The words of outlook-tables. */
export const words = {
  whatWasSpentOnEach: 'What was spent on each bike: parts, what came off the shelf, and jobs done at visits.',
  idOfTheBike: 'id of the bike',
  countedForEachBike: 'counted for each bike, the oldest first',
  inUnitsOfTheCurrency: 'in units of the currency',
  whatIsSaidOfEach:
    'What is said of each bike and its chain as of the time given: 5 % and 95 % are the ends of what is likely at 90 %, p10 and p90 at 80 %.',
  idOfTheChain: 'id of the chain that is on it',
  howWornItsChain: 'how worn its chain is, in a word',
  whatToDo: 'what to do',
  howLikelyItIsThatThis: 'how likely it is that this is right, 0 to 1',
  elongationAtWhichTheChain: 'elongation at which the chain is swapped',
  elongationNowMean: 'elongation now, mean',
  elongationNow5: 'elongation now, 5 %',
  elongationNow95: 'elongation now, 95 %',
  howFastItGrows: 'how fast it grows, median',
  distanceToTheLimit: 'distance to the limit, median',
  distanceToTheLimit10: 'distance to the limit, 10 %',
  distanceToTheLimit90: 'distance to the limit, 90 %',
  distanceToTheNext: 'distance to the next look',
  whenItIsToBe: 'when it is to be swapped',
}

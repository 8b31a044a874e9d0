/** The words of ConditionSorter. */
export const words = {
  thisRide: 'this ride',
  allOfItsMonth: 'all of its month',
  allAlongTheSame: 'all along the same way',
  allBetweenTwoDays: 'all between two days',
  allOfThem: 'all of them',
  theWeatherSays: 'the weather says',
  usualThen: 'usual then',
  theRideBefore: 'The ride before',
  theRideAfter: 'The ride after',
  conditions: 'Conditions',
  setItFor: 'Set it for',
  from: 'From',
  to: 'To',
  stopAsking: 'Stop asking',
  agreeWithAll: (size: number) => `Agree with all ${size}`,
  askTheWeather: 'Ask the weather',
  theUsualForAll: (count: number) => `The usual for all ${count}`,
  setFromTheWeather: 'set from the weather',
  setAsUsual: 'set as usual',
  untilYouSetThem: (name: string) =>
    `Until you set them we assume ${name}’s usual, and the forecast is less certain. Keys here: 1 to 7 say, Enter agrees, arrows go up and down.`,
}

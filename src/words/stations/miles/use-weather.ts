/** The words of use-weather. */
export const words = {
  askingTheWeatherService: 'Asking the weather service…',
  tryingAgain: (why: string) => `${why} Trying again…`,
  askingTheWeatherServiceOf: (done: number, ofText: number) =>
    `Asking the weather service: ${done} of ${ofText} days…`,
  haveNoPlaceToAsk: (without: number) => `; ${without} have no place to ask about`,
  theWeatherServiceKnows: (count: string, phrase: string) =>
    `The weather service knows ${count}${phrase}. Check them, or agree with all.`,
  theWeatherServiceDid: 'The weather service did not answer.',
  stoppedNothingWasChanged: 'Stopped. Nothing was changed.',
  sortThemByHand: (why: string) => `${why} Sort them by hand, or ask again later.`,
}

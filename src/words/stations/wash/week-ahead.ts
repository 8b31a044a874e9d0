/** The words of WeekAhead. */
export const words = {
  lube: 'lube',
  rainWashesDryLube: 'Rain washes dry lube out: put wet lube on before it comes.',
  theDoesNotLast: (name: string) => `The ${name} does not last through it: put fresh lube on now.`,
  theLastsThroughItDry: (name: string) => `The ${name} lasts through it; dry the chain after each wet ride.`,
  nothingToDoForIt: 'Nothing to do for it.',
  askingTheWeatherService: 'Asking the weather service…',
  theWeatherServiceDid: 'The weather service did not answer.',
  rainOnOfTheNext: (wetDays: number, days: number, advice: string) =>
    `Rain on ${wetDays} of the next ${days} days. ${advice}`,
  askForThisWeeks: 'Ask for this week’s weather',
}

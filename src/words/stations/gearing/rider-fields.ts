/** The words of RiderFields. */
export const words = {
  asYouSetIt: 'as you set it',
  steepest200MOfOfYours: (count: string, over50Percent: number, over1000Percent: number) =>
    `steepest 200 m of ${count} of yours, odd ones aside; over 50 m ${over50Percent}\u00a0%, over 1 km ${over1000Percent}\u00a0%`,
  aGuessNoneOfYour: 'a guess: none of your rides tells heights',
  youAndTheHill: 'You and the hill',
  whatTheGearsAre: 'What the gears are judged by.',
  steepestHill: 'Steepest hill, %',
  powerForAnHour: 'Power for an hour, W',
  aGuessByBreath: 'a guess by breath',
  riderBikeAndLoad: 'Rider, bike and load, kg',
  aGuess: 'a guess; ',
  wheelMmRound: 'Wheel, mm round',
  aGuess2: 'a guess',
  slowestCadenceOnAClimb: 'Slowest cadence on a climb, rpm',
  cadenceOnTheFlat: 'Cadence on the flat, rpm',
  noPowerMeterHow: 'No power meter? How do you breathe when you could go on for an hour?',
  keepTheseFigures: 'Keep these figures',
  backToWhatWas: 'Back to what was kept',
}

/** The words of AskAbout. */
export const words = {
  areRecordedAsSomething: (count: string) => `${count} are recorded as something else than cycling`,
  haveADateThatCannot: (count: string) => `${count} have a date that cannot be`,
  haveTheDayAndDistance: (count: string) =>
    `${count} have the day and distance of a ride that is there already`,
  areWrittenTwiceInTheir: (count: string) => `${count} are written twice in their table, cell for cell`,
  aRide: 'A ride',
  wasRecordedAsDid: (file: string, sport: string, ride: string) =>
    `${file} was recorded as “${sport}”: ${ride}. Did it go over the chain?`,
  isDatedInTheFuture: (file: string, at: string) =>
    `${file} is dated ${at}, in the future: the device’s clock was wrong.`,
  later: 'later',
  isDatedOldReceivers: (file: string, at: string, likely: string) =>
    `${file} is dated ${at}. Old receivers lose count after 1024 weeks; it may have been ${likely}.`,
  isDatedTheDevices: (file: string, at: string, km: string) =>
    `${file} is dated ${at}: the device’s clock was not set. Add its ${km} by hand, on the day you rode it.`,
  hasHasOnTheSame: (file: string, ride: string, name: string, km: string) =>
    `${file} has ${ride}; ${name} has ${km} on the same day. Is it the same ride?`,
  lineTheSameAs: (file: string, line: number, ride: string) =>
    `${file}, line ${line}: the same as a row above it, ${ride}. Was it ridden twice?`,
  keepBothOfEach: 'Keep both of each',
  keepBoth: 'Keep both',
  riddenTwiceKeepBoth: 'Ridden twice: keep both of each',
  riddenTwiceKeepBoth2: 'Ridden twice: keep both',
  keepTheDateOfTheFile: 'Keep the date of the file',
  takeThemAsRides: 'Take them as rides',
  takeItAsARide: 'Take it as a ride',
  n1024WeeksLater: '1024 weeks later',
  itWas: (likely: string) => `It was ${likely}`,
  theSameRides: 'The same rides',
  theSameRide: 'The same ride',
  writtenTwiceTakeItOnce: 'Written twice: take it once',
  leaveOut: 'Leave out',
  questionsAboutTheseRides: 'Questions about these rides',
  oneQuestionFirst: 'One question first',
  questionsFirst: (count: number) => `${count} questions first`,
  andMore: (count: number) => `And ${count} more.`,
}

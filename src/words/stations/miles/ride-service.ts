/** The words of RideService. */
export const words = {
  signingInFailed: 'Signing in failed.',
  deletedThereAndTaken: (removed: number) => `; ${removed} deleted there and taken out here`,
  leftOutTheirDay: (refused: number) => `; ${refused} left out: their day or distance cannot be`,
  addedHereAlready: (count: string, phrase: string, known: number, phrase2: string, phrase3: string) =>
    `${count} added${phrase}; ${known} here already${phrase2}${phrase3}.`,
  tryingAgainInS: (why: string, phrase: number) => `${why} Trying again in ${phrase} s.`,
  upToDate: (tell: string) => `Up to date. ${tell}`,
  pleaseSignInToTheService: 'Please sign in to the service again.',
  stoppedTheNextSync: (tell: string) => `Stopped. ${tell} The next sync goes on from there.`,
  theSyncBrokeOff: 'The sync broke off.',
  pressSyncAgainItGoes: (phrase: string, tell: string) =>
    `${phrase} ${tell} Press sync again: it goes on from there.`,
  fromThe: (rideService: string) => `From the ${rideService}`,
  aMadeUpService: 'A made-up service that ships with this app, to try syncing with: rider heron, PIN 1807.',
  rider: 'Rider',
  pin: 'PIN',
  signIn: 'Sign in',
  syncSRides: (name: string) => `Sync ${name}’s rides`,
  stop: 'Stop',
  syncing: 'Syncing',
}

/** The words of Findings. */
export const words = {
  itsPictureIsOnAnother: 'Its picture is on another device.',
  seenTo: (item: string) => `${item}: seen to.`,
  foundSince: (ago: string, km: string) => `Found ${ago}, ${km} since.`,
  itIsSeenTo: 'It is seen to',
  correct: 'correct',
  foundAndNotSeen: 'Found, and not seen to',
  itStaysHereOnToday:
    'It stays here, on Today and in the next job until it passes, is renewed, or goes on the owner’s sheet.',
  findings: 'Findings',
  putThemIntoAJob: 'Put them into a job for a fixed sum',
  datedInTheFuture: 'Dated in the future, so they do not count yet. When were they looked at?',
}

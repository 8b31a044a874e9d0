/** The words of TeethLesson. */
export const words = {
  howWornIsThisTooth: (teeth: number, role: string) => `How worn is this ${teeth}-tooth ${role}?`,
  theChainPullsTheCog: 'The chain pulls the cog: its trailing faces wear, here on the left of each tooth.',
  theRingPullsTheChain: 'The ring pulls the chain: its leading faces wear, here on the right of each tooth.',
  lookAtAllOfThem: (phrase: string) => `${phrase} Look at all of them, and compare like with like.`,
  right: (truth: string) => `Right: ${truth}.`,
  itIsYouSaid: (truth: string, said: string) => `It is ${truth}. You said ${said}.`,
  andAtTheTips: ', and at the tips, which come to a point',
  itsTeethHaveShaped: (figure: string, phrase: string) =>
    `Its teeth have shaped themselves to ${figure} %. Dashed is a new tooth: look at how much wider each valley is at the height of the rollers${phrase}.`,
  thePaleShortTooth: ' The pale short tooth is a shift aid, cut by design: it tells nothing of wear.',
  anotherOne: 'Another one',
  enoughForNow: 'Enough for now',
  yourWord: 'Your word',
  orMatchItsProfile: 'Or match its profile: drag until the line lies on the teeth',
  itMatches: (phrase: string) => `It matches${phrase}`,
  backToSchool: 'Back to School',
}

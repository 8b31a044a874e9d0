/** The words of AnswersGiven. */
export const words = {
  asYourReadingsHave: 'as your readings have it',
  asYouTappedIt: 'as you tapped it',
  whatEachAnswerMoved: 'What each answer moved',
  hasTwoAnswersItIsCounted: (title: string) => `“${title}” has two answers: it is counted as not sure.`,
  andContradictOneAnother: (title: string, title2: string) =>
    `“${title}” and “${title2}” contradict one another. Both are counted; take the wrong one back.`,
  fromYourLog: 'From your log. ',
  takeBack: (title: string) => `Take back: ${title}`,
  takeBack2: 'Take back',
}

/** The words of Symptoms. */
export const words = {
  yourLog: '(your log)',
  notSure: 'not sure',
  whatDoYouHear: 'What do you hear, and when?',
  answerWhatYouKnow: 'Answer what you know. Leave the rest.',
  whatHappens: 'What happens?',
  tapEverythingYouNotice: 'Tap everything you notice.',
  itCreaks: 'It creaks',
  when: 'When?',
}

/** The words of WhoWrites. */
export const words = {
  whatIsWrittenHere: 'What is written here no longer carries a name.',
  whatIsWrittenHereCarries: (name: string) => `What is written here carries the name ${name}.`,
  whoWorksHere: 'Who works here',
  whereSeveralPeopleShare:
    'Where several people share a log: a name for this device. It stands on what is written here from now on. You can leave it empty.',
  yourName: 'Your name',
  saveTheName: 'Save the name',
}

/** The words of Faults. */
export const words = {
  nothingFoundNoted: (name: string) => `${name}: nothing found, noted.`,
  mendItAndSee: 'Mend it, and see whether it is gone: that is the best test of it.',
  nextTest: (toLowerCase: string) => `Next test: ${toLowerCase}`,
  nothingHasToBe: 'Nothing has to be answered. The log is asked too: chain, cogs, lube, rides in the wet.',
  mendIt: 'Mend it',
  maySlipUnderLoad: (name: string) =>
    `${name} may slip under load, and a slip throws you. Do not ride it hard, and never stand on the pedals, before this is settled. No test here asks you to.`,
  whatIsWrong: 'What is wrong',
  itSlipsSkipsOrGrinds: 'It slips, skips or grinds',
  itMakesANoise: 'It makes a noise',
  nothingFoundLogIt: 'Nothing found: log it',
  startAgain: 'Start again',
  addOneAndFind: 'Add one, and find out here why it slips, skips, grinds or creaks.',
}

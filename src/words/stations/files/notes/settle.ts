/** The words of Settle. */
export const words = {
  chooseOne: 'Choose one.',
  daysAreWrittenAs: 'Days are written as',
  distancesAreIn: 'Distances are in',
  decimalsAfter: 'Decimals after',
  column: (at: number) => `column ${at}`,
  markOf: (at: string) => `Mark of “${at}”`,
  theGaugeHas: 'The gauge has',
  yesBesideTheGauge: 'Yes beside the gauge means',
  judgedByTheRows: 'Judged by the rows: a chain only grows longer. Change it if it is wrong.',
  besideTheGaugeMeans: (word: string) => `“${word}” beside the gauge means`,
  linksInEachLength: 'Links in each length',
  innerAndOuterLinks: 'Inner and outer links both count. 12 inches are 24.',
  lengthsAreIn: 'Lengths are in',
  pricesAreIn: 'Prices are in',
}

/** The words of TorqueBook. */
export const words = {
  byFeel: ' by feel',
  to: (torque: string) => ` to ${torque}`,
  tightened: (name: string, phrase: string) => `${name}: tightened${phrase}.`,
  carbonNoMoreThan: ', carbon: no more than its value',
  itWasLoose: ', it was loose',
  tightened2: (ago: string, phrase: string) => `; tightened ${ago}${phrase}`,
  byFeel2: 'by feel',
  theLowerOf: (valuesNm: string) => `the lower of ${valuesNm}`,
  moreThanIsUnusual: (torque: string) => `More than ${torque} is unusual for`,
  checkTheFigure: ': check the figure.',
  tight: 'Tight',
  itWasLoose2: 'It was loose',
  change: 'change',
  theUsualBoltsAre: (name: string) => `${name}: the usual bolts are in the book.`,
  torqueBook: 'Torque book',
  whereTwoPartsGive:
    'Where two parts give two values, the lower one. Common values until you enter the makers’; small bolts by feel.',
  unit: 'Unit',
  n1NMInLbf: (phrase: string, phrase2: string) =>
    `1 N\u00a0m = ${phrase} in\u00a0lbf = ${phrase2} kgf\u00a0cm`,
  addABolt: 'Add a bolt',
  startWithTheUsual: 'Start with the usual bolts',
  aBolt: 'A bolt',
}

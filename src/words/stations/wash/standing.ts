/** The words of Standing. */
export const words = {
  beforeStandsForAWhile: (name: string) => `Before ${name} stands for a while, and when it comes back`,
  beforeCleanItDry:
    'Before: clean it, dry it fully, lubricate it, and wipe the outside. Salt left on it eats it while it stands.',
  itStandsOutdoorsAfter: (outdoors: number) =>
    `It stands outdoors: after ${outdoors} days the chain is due again. A roof, or a cover that lets damp out, slows that.`,
  indoorsItKeepsDays: (indoors: number) =>
    `Indoors it keeps ${indoors} days; a damp shed counts as outdoors.`,
  hangWaxedChainsUp: 'Hang waxed chains up, each with its tag. Pump the tyres up now and then.',
  batteryOutHalfCharged: 'Battery out, half charged, indoors, as its maker says.',
  backAgainFirstWipe:
    'Back again: first wipe and lubricate the chain. Surface rust wipes off; a link that stays stiff does not go away by riding. Then tyres, brakes, bolts, and a short ride close to home.',
}

/** The words of RulerDrawing. */
export const words = {
  asItIsWith: (set: string) => `as it is: ${set}`,
  to: (rowLabel: string, development: string, development2: string) =>
    `${rowLabel}: ${development} to ${development2}`,
  gearsOfSetUps: (count: number, onBench: string) =>
    `Gears of ${count} set-ups on one ruler of developments. ${onBench}.`,
  whereYouRide: 'where you ride',
  theHill: 'the hill',
  asItIs: 'as it is',
  metresPerCrankTurn: 'Metres per crank turn',
  gearInches: 'Gear inches',
  mph: 'mph',
  aboveAtRpmBelow: (phrase: string, phrase2: string, cadenceRpm: number) =>
    `${phrase} above, ${phrase2} at ${cadenceRpm} rpm below; equal steps in per cent are equally long. Tall: a gear of its own. Short: another ring has it too. Dashed: the chain runs at a slant. Left of the hill’s line a gear is low enough for it.`,
}

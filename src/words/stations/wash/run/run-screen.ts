/** The words of RunScreen. */
export const words = {
  doneAtAboutOfSteps: (bikes: string, timeOfDay: string, count: number, count2: number) =>
    `${bikes}, done at about ${timeOfDay}; ${count} of ${count2} steps to go`,
  handsFreeUntil: (timeOfDay: string) => `Hands free until ${timeOfDay}`,
  handsFreeTheLast: 'Hands free: the last clock is running',
  dropsAboutMlOnce: (lube: string, drops: number, ml: number, crankTurns: string) =>
    ` ${lube}: ${drops} drops, about ${ml} ml; once round is ${crankTurns} crank turns.`,
  then: (name: string) => `Then: ${name}.`,
  checkSomethingMeanwhile: 'Check something meanwhile',
  tellMeByANotice: 'Tell me by a notice too when a clock runs out',
  endTheWashHere: 'End the wash here',
}

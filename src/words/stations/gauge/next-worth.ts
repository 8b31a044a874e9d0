/** The words of NextWorth. */
export const words = {
  under1In500: 'under 1 in 500',
  n1In: (phrase: string | number) => `1 in ${phrase}`,
  whatAnotherReadingWould: 'What another reading would tell you',
  anotherReadingWithTheWould: (name: string, figure: string) =>
    ` Another reading with the ${name} would narrow that most, to ±${figure}.`,
  anotherReadingWouldHardly: ' Another reading would hardly narrow that.',
  theChanceThatTheVerdict: (odds: string, figure: string, phrase: string) =>
    `The chance that the verdict is wrong is ${odds} now; the chain is known to ±${figure}.${phrase}`,
  wrongVerdictAfterItAndHow:
    'Wrong verdict after it, and how closely the chain is then known, on average over what it could say. Tap one to take it.',
}

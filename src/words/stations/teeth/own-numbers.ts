/** The words of OwnNumbers. */
export const words = {
  toMm: (p10: string, p90: string) => `${p10} to ${p90} mm`,
  whatYourOwnSkips: 'What your own skips and pictures have taught',
  howMuchMoreThan: 'How much more than most riders’ your cogs may wear before a chain skips',
  atFirstToNow: (signed: string, signed2: string, signed3: string, signed4: string) =>
    `At first ${signed} to ${signed2} %; now ${signed3} to ${signed4} %. Every skip, and every cog that held, moves it.`,
  howMuchWiderAValley: 'How much wider a valley is for each 1 % its cog is worn',
  atFirstNowPictures: (mm: string, mm2: string) =>
    `At first ${mm}; now ${mm2}. Pictures of cogs whose road is known move it.`,
}

/** The words of Meanwhile. */
export const words = {
  inTheFreeMinutes: (minutes: number, list: string) => `In the ${minutes} free minutes, check: ${list}`,
  andMore: (count: number) => ` and ${count} more`,
  seeTheseChecks: 'See these checks',
}

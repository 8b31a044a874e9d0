/** The words of CogsField. */
export const words = {
  teethOnTheCogs: 'Teeth on the cogs',
  n1128Or11: '11-28, or 11 13 15 17 19 21 24',
  toHowManyCogs: (smallest: number, largest: number) => `${smallest} to ${largest}: how many cogs?`,
  evenStepsCheckEach: 'even steps: check each cog',
  itReallyHas: (count: string) => `It really has ${count}`,
}

/** The words of ToothRows. */
export const words = {
  road: 'road',
  eye: 'eye',
  picture: 'picture',
  tool: 'tool',
  ride: 'ride',
  by: (list: string) => `by ${list}`,
  allTheWork: 'all the work',
  hardlyUsed: 'hardly used',
  ofWork: (phrase: number) => `${phrase}\u00a0% of work`,
  to: (figure: string, figure2: string) => `${figure} to ${figure2}`,
  notChecked: 'not checked',
  skips: (chance: string) => `skips: ${chance}`,
  cogsRingsAndPulleys: 'Cogs, rings and pulleys',
}

/** The words of DayRow. */
export const words = {
  choose: (name: string) => `Choose ${name}`,
  workingItOut: 'Working it out…',
}

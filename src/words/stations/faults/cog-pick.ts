/** The words of CogPick. */
export const words = {
  onWhichCogsTap: 'On which cogs? Tap them.',
  cog: (cog: number) => `Cog ${cog}`,
  noneOfThem: 'None of them',
  allOfThem: 'All of them',
  notSure: 'Not sure',
}

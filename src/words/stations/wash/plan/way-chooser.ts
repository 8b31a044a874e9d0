/** The words of WayChooser. */
export const words = {
  suggested: (way: string) => `${way} (suggested)`,
  asLongAsItTakes: 'as long as it takes',
  min: (value: string) => `${value} min`,
  howMuchTimeDo: 'How much time do you have?',
  whichChains: 'Which chains?',
  goesOnTheBike: 'Goes on the bike afterwards',
  how: 'How',
  whatGoesOn: 'What goes on',
  againstIt: (against: string) => ` Against it: ${against}.`,
}

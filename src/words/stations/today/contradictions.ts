/** The words of Contradictions. */
export const words = {
  thisOneIsRight: (said: string) => `This one is right: ${said}`,
  thisOneIsRight2: 'This one is right',
  leaveItTheNewest: 'Leave it: the newest counts',
  allOfItHappened: 'All of it happened, in this order',
  entriesThatContradict: 'Entries that contradict',
}

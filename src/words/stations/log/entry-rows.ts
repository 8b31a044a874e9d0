/** The words of EntryRows. */
export const words = {
  entries: 'Entries',
  stillToCome: 'still to come',
  open: (day: string, said: string) => `Open: ${day}, ${said}`,
  open2: 'open',
  restore: (day: string, said: string) => `Restore: ${day}, ${said}`,
  restore2: 'restore',
  corrected: 'corrected',
}

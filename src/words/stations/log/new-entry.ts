/** The words of NewEntry. */
export const words = {
  saved: 'Saved.',
  day: 'Day',
  save: (name: string) => `Save ${name}`,
}

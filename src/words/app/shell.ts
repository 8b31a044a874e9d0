/** The words of Shell. */
export const words = {
  aPartOfTheApp: 'A part of the app could not be loaded. Reload the page.',
  reload: 'Reload',
  joltMile: (name: string) => `${name} · Jolt Mile`,
  joltMile2: 'Jolt Mile',
  skipToTheStation: 'Skip to the station',
}

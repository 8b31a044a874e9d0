/** The words of Header. */
export const words = {
  joltMile: 'Jolt Mile',
  switchBike: (name: string) => `${name}: switch bike`,
  stations: 'Stations',
  more: 'More',
  demoLeave: 'demo: leave',
}

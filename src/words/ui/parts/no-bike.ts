/** The words of NoBike. */
export const words = {
  noBikeYet: 'No bike yet.',
  measureAChainNow: 'Measure a chain now',
  addABike: 'Add a bike',
  bringInNotes: 'Bring in notes',
  openTheDemo: 'Open the demo',
}

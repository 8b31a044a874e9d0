/** The words of History. */
export const words = {
  everyReadingSoFar: 'Every reading so far',
  eachWithIts90: 'Each with its 90 % interval, not just a dot.',
  against: 'Against',
  compareWith: (name: string) => `compare with ${name}`,
  rings: 'rings',
  squares: 'squares',
  diamonds: 'diamonds',
  inThisOrder: (chains: string) => `In this order: ${chains}. `,
  aFaintBarIsAYes: 'A faint bar is a yes-or-no gauge, open on the side it cannot see.',
  aMarkStruckThrough: ' A mark struck through was probably misread, and hardly counts.',
  distance: 'distance',
  wearDistance: 'wear-distance',
}

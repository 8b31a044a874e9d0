/** The words of RingClock. */
export const words = {
  whereIsItWorn: 'Where is it worn most?',
  fromTheDriveSide:
    'From the drive side, the crank arm on that side up. Two places across from each other are the pedal strokes. One place alone is something else: look for a bent or chipped tooth.',
  alikeAllRound: 'alike all round',
}

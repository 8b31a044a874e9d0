/** The words of how-to-read. */
export const words = {
  itsEndOnTheEdge:
    'Its end on the edge of one pin; read the same edge of the pin 24 pitches on: 12 inches on a new chain, 1/16 over is about 0.5 %.',
  theZeroEdgeOnTheEdge:
    'The zero edge on the edge of one pin; read the pin 20 pitches on with the vernier, to a tenth of a millimetre.',
  letTheGaugeFall:
    'Let the gauge fall in by its own weight. It spreads the rollers, so it also sees their play: it reads about 0.1 high.',
  seatTheHookFirst:
    'Seat the hook first, then see whether the tip drops. It pushes both rollers the same way and sees pitch only.',
  pressUntilBothTips:
    'Press until both tips touch their rollers, then read the pointer. It sees roller play too.',
  seatTheHookAndIts: 'Seat the hook and its neighbour first, then read the pointer.',
  overTheSameRollers:
    'Over the same rollers: once with the jaws inside, pushing them apart, once outside, pushing them together.',
  aQuickWeakHint: 'A quick, weak hint, never a verdict: it weighs little.',
}

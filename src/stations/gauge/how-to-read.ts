import type { Instrument } from '../../core/measure/reading.ts'

/** How each instrument is put to the chain and read. */
export const HOW: Readonly<Record<Instrument, string>> = {
  rule: 'Its end on the edge of one pin; read the same edge of the pin 24 pitches on: 12 inches on a new chain, 1/16 over is about 0.5 %.',
  strip:
    'The zero edge on the edge of one pin; read the pin 20 pitches on with the vernier, to a tenth of a millimetre.',
  'two-contact-limit':
    'Let the gauge fall in by its own weight. It spreads the rollers, so it also sees their play: it reads about 0.1 high.',
  'three-contact-limit':
    'Seat the hook first, then see whether the tip drops. It pushes both rollers the same way and sees pitch only.',
  'two-contact-scale':
    'Press until both tips touch their rollers, then read the pointer. It sees roller play too.',
  'three-contact-scale': 'Seat the hook and its neighbour first, then read the pointer.',
  'caliper-pair':
    'Over the same rollers: once with the jaws inside, pushing them apart, once outside, pushing them together.',
  'ring-lift': 'A quick, weak hint, never a verdict: it weighs little.',
  'side-play': 'A quick, weak hint, never a verdict: it weighs little.',
}

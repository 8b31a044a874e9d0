/** The words of RoadStrip. */
export const words = {
  theRoadUnderThisChain: 'The road under this chain',
  aKilometreInWinter:
    'A kilometre in winter salt wears a chain like about three on a dry road; that is a guess until your own readings correct it.',
}

/** The words of DummyAxleDrawing. */
export const words = {
  leftBetweenTheTwo:
    'Left: between the two ends of the frame a bolt, held by a nut, a washer on each side of a piece of hose; the chain runs over the hose. Right: two brushes bound together, their bristles face to face, the chain between them.',
  boltHoseTwoWashers: 'bolt, hose, two washers',
  twoBrushesBoundTogether: 'two brushes, bound together',
}

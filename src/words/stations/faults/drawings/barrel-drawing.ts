/** The words of BarrelDrawing. */
export const words = {
  aQuarterTurn: 'a quarter turn',
  outwardMorePull: 'outward: more pull',
  derailleur: 'derailleur',
}

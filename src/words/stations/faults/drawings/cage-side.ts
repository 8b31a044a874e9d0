/** The words of CageSide. */
export const words = {
  theTab: 'the tab',
  staysBent: 'stays bent',
  theGap: 'the gap',
}

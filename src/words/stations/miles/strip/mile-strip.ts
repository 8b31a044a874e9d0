/** The words of MileStrip. */
export const words = {
  closer: 'Closer',
  further: 'Further',
  wholeRoad: 'Whole road',
  printTheRoad: 'Print the road',
  placeOnTheRoad: 'Place on the road',
  openIt: 'Open it',
  openThem: 'Open them',
  dragToMoveCtrl:
    'Drag to move; Ctrl and wheel, or + and \u2212, zoom; arrows walk, with Shift from mark to mark; Enter opens.',
  dragToMovePinch: 'Drag to move, pinch to zoom, tap a mark twice to open it.',
}

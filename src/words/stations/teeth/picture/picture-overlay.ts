/** The words of PictureOverlay. */
export const words = {
  centreMoveIt: 'Centre: move it',
  edgeMakeItLarger: 'Edge: make it larger or smaller',
  tipTurnIt: 'Tip: turn it',
  yourPictureOf: (name: string) => `Your picture of ${name}`,
}

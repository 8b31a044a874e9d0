/** The words of merge-in. */
export const words = {
  anotherCopyOfItDiffers: 'another copy of it differs from the one in this log',
  setAsideByHand: 'set aside by hand',
}

/** The words of RingFront. */
export const words = {
  daylightHere: 'daylight here',
}

/** The words of picture. */
export const words = {
  normal: 'normal',
}

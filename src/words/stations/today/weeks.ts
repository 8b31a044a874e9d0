/** The words of weeks. */
export const words = {
  seeTo: 'see to',
}

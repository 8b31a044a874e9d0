/** The words of paint-curves. */
export const words = {
  elongation: 'elongation,',
  perCent: 'per cent',
}

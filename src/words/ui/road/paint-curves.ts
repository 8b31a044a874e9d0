/** The words of paint-curves. */
export const words = {
  limit: 'limit',
  today: 'today',
  elongation: 'elongation,',
  perCent: 'per cent',
}

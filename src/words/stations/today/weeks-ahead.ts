/** The words of WeeksAhead. */
export const words = {
  whatComesUpByWeek: 'What comes up, by week',
  today: 'today',
  laterOrOnMore: (left: number) => `Later, or on more bikes: ${left} more in the list.`,
}

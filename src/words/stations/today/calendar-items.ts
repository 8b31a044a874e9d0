/** The words of calendar-items. */
export const words = {
  workedOutOnTheDay: (when: string, day: string) =>
    `${when}. Worked out on ${day}; the day moves as you ride and measure.`,
  cancelled: (name: string) => `${name}: cancelled`,
}

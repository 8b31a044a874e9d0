/** The words of RoundMap. */
export const words = {
  of: (area: string, count: number, count2: number) => `${area}: ${count} of ${count2}`,
}

/** The words of elongation-axis. */
export const words = {
  limit: (limit: string) => `limit ${limit}`,
}

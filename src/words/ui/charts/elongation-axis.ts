/** The words of elongation-axis. */
export const words = {
  today: 'today',
  limit: (limit: string) => `limit ${limit}`,
}

/** The words of columns. */
export const words = {
  utc: (description: string) => `${description}; UTC`,
}

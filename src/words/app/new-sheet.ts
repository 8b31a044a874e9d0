/** The words of NewSheet. */
export const words = {
  newEntry: 'New entry',
}

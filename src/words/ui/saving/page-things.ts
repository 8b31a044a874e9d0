/** The words of page-things. */
export const words = {
  table: 'Table',
  drawing: 'Drawing',
}

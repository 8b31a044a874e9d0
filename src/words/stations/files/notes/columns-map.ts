/** The words of ColumnsMap. */
export const words = {
  columns: 'Columns',
  column: (at: number) => `Column ${at}`,
  empty: 'empty',
}

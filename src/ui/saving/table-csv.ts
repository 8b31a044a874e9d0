import { plainCellOrFigure } from '../../core/tables/plain-cell.ts'

const text = (cell: Element): string => (cell.textContent ?? '').replace(/\s+/g, ' ').trim()

/**
 * The cells of a table of the page, row by row, as they read. A cell over several columns stands in the first of them.
 */
export const cellsOf = (table: Element): readonly (readonly string[])[] =>
  [...table.querySelectorAll('tr')].map((row) =>
    [...row.querySelectorAll('th, td')].flatMap((cell) => {
      const span = Number(cell.getAttribute('colspan') ?? 1)
      return [text(cell), ...Array.from({ length: Math.max(0, span - 1) }, () => '')]
    }),
  )

/** A table of the page as CSV. Words that begin as a formula does are written as words. */
export async function csvOfTable(table: Element): Promise<string> {
  const { default: Papa } = await import('papaparse')
  return `${Papa.unparse(
    cellsOf(table).map((row) => row.map(plainCellOrFigure)),
    { newline: '\r\n' },
  )}\r\n`
}

/** What a spreadsheet takes for the beginning of a formula, after blanks and marks that cannot be seen; wide forms too. */
const FORMULA = /^[\s\p{Cf}]*[=+\-@＝＋－＠]/u
/** A cell that begins so may be cut in two by a spreadsheet, and what follows taken for a formula. */
const CUT = /^[\t\r]/
const QUOTES = /^'+/
/** Line ends are kept between the lines that they end. */
const LINE_END = /(\r\n|\r|\n)/
/** A figure alone works nothing out, whatever its sign. */
const FIGURE = /^[-+]?\d[\d\s.,]*%?$/

/** The lines of a cell with their ends between them: [line, end, line, end, line]. */
const piecesOf = (text: string): string[] => text.split(LINE_END)

function isRisky(line: string, i: number, pieces: readonly string[]): boolean {
  if (i % 2 === 1) return false
  const bare = line.replace(QUOTES, '')
  return (
    FORMULA.test(bare) || CUT.test(bare) || (i === 0 && bare === '' && (pieces[1] ?? '').startsWith('\r'))
  )
}

/**
 * A cell of words as it is written into a table that leaves the app: no spreadsheet takes any line of it for a formula.
 * An apostrophe is set before each line that could be; {@link wordsOfCell} takes it away again.
 * @example plainCell('=1+1') // "'=1+1"
 */
export const plainCell = (text: string): string =>
  piecesOf(text)
    .map((line, i, pieces) => (isRisky(line, i, pieces) ? `'${line}` : line))
    .join('')

/** What {@link plainCell} made its cell of: the words as they were. */
export const wordsOfCell = (cell: string): string =>
  piecesOf(cell)
    .map((line, i, pieces) => (line.startsWith("'") && isRisky(line, i, pieces) ? line.slice(1) : line))
    .join('')

/** A cell of a table whose cells may be words or figures, as they read on a page: a figure stays one. */
export const plainCellOrFigure = (text: string): string => (FIGURE.test(text) ? text : plainCell(text))

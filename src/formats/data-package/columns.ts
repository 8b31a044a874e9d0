import { timeCell, type Column } from './table.ts'
import { words } from '../../words/formats/data-package/columns.ts'

/** The id of a row's entry or thing. */
export const idColumn = <R>(name: string, description: string, of: (row: R) => string): Column<R> => ({
  name,
  type: 'string',
  description,
  isRequired: true,
  of,
})

/** When it happened. */
export const atColumn = <R>(description: string, of: (row: R) => string, name = 'at'): Column<R> => ({
  name,
  type: 'datetime',
  description: words.utc(description),
  isRequired: true,
  of: (row) => timeCell(of(row)),
})

/** A word out of a few. */
export const wordColumn = <R>(
  name: string,
  description: string,
  values: readonly string[],
  of: (row: R) => string | undefined,
): Column<R> => ({ name, type: 'string', description, values, of })

/** Free words. */
export const textColumn = <R>(
  name: string,
  description: string,
  of: (row: R) => string | undefined,
): Column<R> => ({ name, type: 'string', description, of })

/** A figure with its unit. */
export const figureColumn = <R>(
  name: string,
  description: string,
  unit: string | undefined,
  of: (row: R) => number | undefined,
  type: 'number' | 'integer' = 'number',
): Column<R> => ({ name, type, description, ...(unit !== undefined && { unit }), of })

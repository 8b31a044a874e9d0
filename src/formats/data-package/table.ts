import Papa from 'papaparse'
import { plainCell } from '../../core/tables/plain-cell.ts'

/** What a cell can hold; undefined is an empty one. */
export type Cell = string | number | boolean | undefined

/** A column of a table, with what has to be known to use it. */
export interface Column<R> {
  readonly name: string
  readonly type: 'string' | 'number' | 'integer' | 'boolean' | 'datetime' | 'date'
  readonly description: string
  /** As written in the cells: "km", "mm", "%". */
  readonly unit?: string
  readonly isRequired?: true
  /** All values that there are. */
  readonly values?: readonly string[]
  readonly of: (row: R) => Cell
}

/** A column that names a row of another table. */
export interface Link {
  readonly column: string
  readonly table: string
  readonly to: string
}

/** A table of a data package. */
export interface Table<R> {
  readonly name: string
  readonly title: string
  readonly description: string
  readonly key: readonly string[]
  readonly links: readonly Link[]
  readonly columns: readonly Column<R>[]
  readonly rows: readonly R[]
}

/** A table as it is written: what describes it, and its rows. */
export interface WrittenTable {
  readonly descriptor: Readonly<Record<string, unknown>>
  readonly path: string
  readonly csv: string
}

/** A time as the tables hold it: UTC, to the second. */
export const timeCell = (at: string): string => at.replace(/\.\d{3}Z$/, 'Z')

/** A figure without the noise of binary fractions. */
export const figure = (value: number | undefined, digits: number): number | undefined =>
  value === undefined || !Number.isFinite(value) ? undefined : Number(value.toFixed(digits))

/** Heads and rows as CSV, without a line end after the last. Words that begin as a formula does are written as words. */
export const csvOf = (heads: readonly string[], rows: readonly (readonly Cell[])[]): string =>
  Papa.unparse(
    {
      fields: heads.map(plainCell),
      data: rows.map((row) => row.map((cell) => (typeof cell === 'string' ? plainCell(cell) : cell))),
    },
    { newline: '\r\n' },
  ).replace(/(\r\n)+$/, '')

/**
 * Writes a table as CSV (RFC 4180, UTF-8), with its description as a tabular data resource: columns, types, units, keys.
 */
export function writeTable<R>({
  name,
  title,
  description,
  key,
  links,
  columns,
  rows,
}: Table<R>): WrittenTable {
  const path = `data/${name}.csv`
  const fields = columns.map((column) => ({
    name: column.name,
    type: column.type,
    description: column.description,
    ...(column.unit !== undefined && { unit: column.unit }),
    ...((column.isRequired || column.values) && {
      constraints: {
        ...(column.isRequired && { required: true }),
        ...(column.values && { enum: column.values }),
      },
    }),
  }))
  return {
    path,
    csv: `${csvOf(
      columns.map((column) => column.name),
      rows.map((row) => columns.map(({ of }) => of(row) ?? '')),
    )}\r\n`,
    descriptor: {
      profile: 'tabular-data-resource',
      name,
      path,
      title,
      description,
      format: 'csv',
      mediatype: 'text/csv',
      encoding: 'utf-8',
      schema: {
        fields,
        missingValues: [''],
        primaryKey: key,
        ...(links.length > 0 && {
          foreignKeys: links.map(({ column, table, to }) => ({
            fields: column,
            reference: { resource: table, fields: to },
          })),
        }),
      },
    },
  }
}

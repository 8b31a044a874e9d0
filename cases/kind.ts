import { number, type InferType, type Schema } from 'yup'

/** What a case comes to. */
export type Output = Readonly<Record<string, unknown>>
/** Runs one case; paths in it are relative to the folder. */
export type Runner = (input: unknown, folder: string) => Output | Promise<Output>

/** A kind of case: its input checked once, then computed. */
export function kind<S extends Schema>(
  schema: S,
  compute: (input: InferType<S>, folder: string) => Output | Promise<Output>,
): Runner {
  return (input, folder) => compute(schema.validateSync(input, { strict: true }), folder)
}

/** A number, as it must be written. */
export const figure = () => number().strict().required()

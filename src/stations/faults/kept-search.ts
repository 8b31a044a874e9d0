import { array, mixed, number, object, string } from 'yup'
import { COMPLAINTS, type About, type AnyFinding, type Complaint } from '../../core/faults/finder.ts'
import type { World } from '../../session/log-context.ts'
import { forgetText, recallText, rememberText } from '../../ui/local-memory.ts'

/** A search that is going on: what was tapped and answered so far, in the order in which it was. */
export interface KeptSearch {
  readonly about: About
  readonly complaints: readonly Complaint[]
  /** Tooth counts. */
  readonly cogs: readonly number[]
  readonly answers: readonly { readonly finding: AnyFinding; readonly said: readonly string[] }[]
  /** How strongly a rhythm that was tapped speaks for each round. */
  readonly tapped?: Readonly<Record<string, number>>
  /** Tests that were put off. */
  readonly later: readonly AnyFinding[]
}

export const EMPTY_SEARCH: KeptSearch = {
  about: 'shifting',
  complaints: [],
  cogs: [],
  answers: [],
  later: [],
}

/** Whether nothing was tapped or answered yet. */
export const isEmptySearch = ({ complaints, cogs, answers, tapped }: KeptSearch): boolean =>
  complaints.length === 0 && cogs.length === 0 && answers.length === 0 && tapped === undefined

const SCHEMA = object({
  about: string().strict().oneOf(['shifting', 'noise']).required(),
  complaints: array(
    string()
      .strict()
      .oneOf([...COMPLAINTS])
      .required(),
  ).required(),
  cogs: array(number().strict().integer().required()).max(20).required(),
  answers: array(
    object({
      finding: string().strict().required(),
      said: array(string().strict().required()).min(1).max(8).required(),
    }),
  )
    .max(80)
    .required(),
  tapped: mixed<Record<string, number>>().test(
    'weights',
    (value) =>
      value === undefined ||
      (typeof value === 'object' && Object.values(value).every((one) => Number.isFinite(one) && one >= 0)),
  ),
  later: array(string().strict().required()).max(80).required(),
})

const keyOf = (world: World, bike: string): string => `jolt-mile fault ${world} ${bike}`

/** The search that was going on for a bike; an empty one where there was none, or it cannot be read. */
export function recallSearch(world: World, bike: string): KeptSearch {
  const text = recallText(keyOf(world, bike))
  if (text === undefined) return EMPTY_SEARCH
  try {
    return SCHEMA.validateSync(JSON.parse(text), { strict: true }) as unknown as KeptSearch
  } catch {
    return EMPTY_SEARCH
  }
}

/** Keeps a search that is going on, or forgets an empty one. */
export function keepSearch(world: World, bike: string, search: KeptSearch): void {
  if (isEmptySearch(search)) forgetText(keyOf(world, bike))
  else rememberText(keyOf(world, bike), JSON.stringify(search))
}

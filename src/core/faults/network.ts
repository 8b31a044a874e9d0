/**
 * A network of causes and what they show. A cause is true or not, several may be true at once; a finding is something seen, felt
 * or tested, with two or more values.
 */
export interface Network<C extends string = string, F extends string = string> {
  readonly causes: { readonly [K in C]: Cause }
  readonly findings: { readonly [K in F]: Finding<C> }
}

/** Something that can be wrong. */
export interface Cause {
  /** How often it is behind a complaint, before anything is known of this one: 0 to 1. */
  readonly rate: number
  /** A bike without this cannot have it. */
  readonly needs?: Need
}

/** What a bike must have for a cause or a finding to make sense. */
export type Need = 'derailleur' | 'cable' | 'electric' | 'two-rings' | 'disc'

/** How a finding is come by, from the least to the most dangerous. */
export const WAYS = ['feel', 'eye', 'hand', 'wheel-up', 'ride'] as const
export type Way = (typeof WAYS)[number]

/** A row: the chance of each abnormal value where the cause is true. */
export type Row = Readonly<Record<string, number>>

/** Something that can be seen, felt or tested. */
export interface Finding<C extends string = string> {
  readonly way: Way
  /** What it takes, minutes; what is felt on the road takes none. */
  readonly minutes: number
  readonly values: readonly string[]
  /** The value that is found where nothing is wrong; absent where there is always something to say ("which cogs"). */
  readonly normal?: string
  /** Chances where no cause has a word on it: false alarms where there is a normal value, else what is usual. */
  readonly otherwise: Readonly<Record<string, number>>
  readonly rows: Readonly<Partial<Record<C, Row>>>
  readonly needs?: Need
}

const chanceOfAny = (row: Readonly<Record<string, number>>): number =>
  Math.min(
    1,
    Object.values(row).reduce((sum, one) => sum + one, 0),
  )

/**
 * The chance of every value of a finding where just these causes are true. Each cause shows itself independently of the others (a
 * noisy OR, as in Pearl, Probabilistic Reasoning in Intelligent Systems, 1988, 4.3.2): nothing is seen with `prod (1 - q)`; what is seen where something
 * is goes by the causes' own chances.
 * Where there is no normal value, the causes that have a word on it share it evenly.
 * @param causes true at once; none of them for "something else"
 * @returns in the order of the finding's values; sums to 1
 */
export function chancesOf<C extends string>(finding: Finding<C>, causes: readonly C[]): readonly number[] {
  const { values, normal, otherwise, rows } = finding
  const own = causes.flatMap((cause) => {
    const row = rows[cause]
    return row ? [row] : []
  })
  const all = normal === undefined && own.length > 0 ? own : [...own, otherwise]
  const none = all.reduce((rest, row) => rest * (1 - chanceOfAny(row)), 1)
  const weight = (value: string): number => all.reduce((sum, row) => sum + (row[value] ?? 0), 0)
  const total = values.reduce((sum, value) => sum + (value === normal ? 0 : weight(value)), 0)
  const some = normal === undefined ? 1 : 1 - none
  return values.map((value) =>
    value === normal ? 1 - some : total > 0 ? (some * weight(value)) / total : some / values.length,
  )
}

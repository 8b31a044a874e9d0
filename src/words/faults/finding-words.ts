/** A finding: what is asked or tested, in a few words; its answers; for a test, what to do. */
export interface FindingWords {
  readonly title: string
  readonly values: Readonly<Record<string, string>>
  /** Where to stand, what to do, what to look at. */
  readonly how?: readonly string[]
  readonly caution?: string
}

/** Where something turns. */
export const FINGERS = 'Keep fingers and loose clothing away from cogs and rotor while the wheel turns.'

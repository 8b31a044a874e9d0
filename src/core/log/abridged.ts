import { canonicalText } from './canonical-text.ts'
import type { Entry, EntryKind } from './entries.ts'

/** What came of two copies of an entry, one of them shortened at least. */
export interface Filled {
  /** The fuller of both, under the ids of ours; the very entry of ours where theirs has nothing to add. */
  readonly whole: Entry
  /** Something that both say, they say differently. */
  readonly contradicts: boolean
}

/** What records of earlier versions changed without saying which fields. */
const ALTERED_BEFORE: Readonly<Partial<Record<EntryKind, readonly string[]>>> = {
  part: ['used', 'spec'],
  tool: ['name'],
}

const IDS: ReadonlySet<string> = new Set(['id', 'firstId', 'abridged', 'altered'])

const alteredIn = (entry: Entry): ReadonlySet<string> =>
  new Set(entry.abridged ? (entry.altered ?? ALTERED_BEFORE[entry.kind]) : [])

/** What an entry says in its own words: without its ids, and without what was changed when it was shortened. */
function saidIn(entry: Entry): ReadonlyMap<string, unknown> {
  const altered = alteredIn(entry)
  return new Map(
    Object.entries(entry).filter(
      ([name, value]) => !IDS.has(name) && !altered.has(name) && value !== undefined,
    ),
  )
}

/** What ours says, with all that theirs says itself in its place: what was left out of theirs stays as ours has it. */
export const saidOver = (ours: Entry, theirs: Entry): Entry => ({
  ...ours,
  ...Object.fromEntries(saidIn(theirs)),
})

/** The fields that two say unlike, by their names. What a shortened one does not say was left out of it. */
export function fieldsUnlike(ours: Entry, theirs: Entry): readonly string[] {
  const [here, there] = [saidIn(ours), saidIn(theirs)]
  const altered = new Set([...alteredIn(ours), ...alteredIn(theirs)])
  return [...new Set([...here.keys(), ...there.keys()])].filter((name) => {
    if (altered.has(name)) return false
    if (!here.has(name)) return ours.abridged !== true
    if (!there.has(name)) return theirs.abridged !== true
    return canonicalText(here.get(name)) !== canonicalText(there.get(name))
  })
}

const underOurIds = (entry: Entry, { id, firstId }: Entry): Entry => {
  const { firstId: _other, ...said } = entry
  return { ...said, id, ...(firstId !== undefined && { firstId }) }
}

/**
 * Fills up a shortened entry from another copy of it, field by field: what is whole stands before what was shortened,
 * and what both say stays as ours has it.
 */
export function fillUp(ours: Entry, theirs: Entry): Filled {
  const contradicts = fieldsUnlike(ours, theirs).length > 0
  if (!ours.abridged) return { whole: ours, contradicts }
  if (!theirs.abridged) return { whole: underOurIds(theirs, ours), contradicts }
  const { altered: _altered, ...kept } = ours
  const [mine, other] = [alteredIn(ours), alteredIn(theirs)]
  const both = [...mine].filter((name) => other.has(name)).sort()
  const more = [...saidIn(theirs)].filter(([name]) => mine.has(name) || !(name in ours))
  // `altered` says nothing where it is empty; an older copy that did not say which has the usual ones.
  const whole = { ...kept, ...Object.fromEntries(more), altered: both } as Entry
  return { whole: more.length === 0 ? ours : whole, contradicts }
}

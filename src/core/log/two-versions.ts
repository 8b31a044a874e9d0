import { fieldsUnlike, saidOver } from './abridged.ts'
import type { Entry, EntryDraft } from './entries.ts'
import type { EntryId } from './entry.ts'
import { firstIdOf, firstText } from './first-writing.ts'
import { liveEntries } from './supersede.ts'

/** One entry of which the log says one thing, and a copy that came in another. */
export interface TwoVersions {
  /** What the log counts. */
  readonly ours: Entry
  /** What was kept beside it. */
  readonly theirs: Entry
}

/**
 * The contradictions that are open: each copy kept beside the log whose entry counts as it was first written. One that
 * was corrected or taken out since was decided. Withdrawals are not asked about: a copy of one that is kept aside takes
 * nothing out.
 * @param entries the log, each entry under one id
 * @param others copies that say something else under an id of the log's
 */
export function twoVersions(entries: readonly Entry[], others: readonly Entry[]): readonly TwoVersions[] {
  if (others.length === 0) return []
  const held = new Map<EntryId, Entry>()
  for (const entry of liveEntries(entries)) {
    if (entry.firstId !== undefined) held.set(entry.firstId, entry)
    held.set(entry.id, entry)
  }
  return others.flatMap((theirs) => {
    const ours = held.get(theirs.id) ?? held.get(firstIdOf(theirs))
    return ours &&
      ours.kind !== 'withdraw' &&
      theirs.kind !== 'withdraw' &&
      firstText(ours) !== firstText(theirs)
      ? [{ ours, theirs }]
      : []
  })
}

/** How an entry came, and where it stands: nothing that it says. */
const NOT_SAID: ReadonlySet<string> = new Set(['format', 'action', 'supersedes'])

/** The fields that two versions say differently, by their names in the record, in alphabetical order. */
export const fieldsApart = (one: Entry, other: Entry): readonly string[] =>
  fieldsUnlike(one, other)
    .filter((name) => !NOT_SAID.has(name))
    .sort()

/**
 * What is written when somebody said which version is right: a correction that says it. The same where it is the log's
 * own, so that a device that holds the other one comes to count this one too. A shortened version is filled up from ours.
 */
export function decidedDraft({ ours }: TwoVersions, right: Entry): EntryDraft {
  const {
    id: _id,
    firstId: _first,
    format: _format,
    action: _action,
    supersedes: _earlier,
    abridged: _abridged,
    altered: _altered,
    ...said
  } = right.abridged ? saidOver(ours, right) : right
  return { ...said, supersedes: ours.id }
}

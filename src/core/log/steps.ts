import type { Entry, EntryDraft } from './entries.ts'
import type { EntryId, IsoTime } from './entry.ts'
import type { WithdrawEntry } from './kinds/withdraw.ts'
import { liveEntries, withdrawnIds } from './supersede.ts'

type WithdrawDraft = Extract<EntryDraft, { kind: 'withdraw' }>

const isWithdrawal = (entry: Entry): entry is WithdrawEntry => entry.kind === 'withdraw'

/** The withdrawals that count, in no order. */
function standingWithdrawals(entries: readonly Entry[]): readonly WithdrawEntry[] {
  const withdrawn = withdrawnIds(entries)
  return entries.filter(isWithdrawal).filter(({ id }) => !withdrawn.has(id))
}

/** Whether somebody did this, rather than undo or redo what was done. */
const isDoing = (entry: Entry): boolean =>
  entry.kind !== 'withdraw' || (entry.reason !== 'undo' && entry.reason !== 'redo')

/** Of the entries given, those of the newest action. Entries without an action (the demo's) are history, not a step. */
function newestAction(entries: readonly Entry[]): readonly Entry[] {
  let newest: EntryId | undefined
  for (const { action } of entries)
    if (action !== undefined && (newest === undefined || action > newest)) newest = action
  return newest === undefined ? [] : entries.filter(({ action }) => action === newest)
}

/**
 * What one press of "undo" takes back: the entries of the newest action that still counts, or none. Taking an entry
 * out and restoring one are actions; undo and redo are not.
 */
export const stepToUndo = (entries: readonly Entry[]): readonly Entry[] =>
  newestAction([...liveEntries(entries), ...standingWithdrawals(entries).filter(isDoing)])

/**
 * What one press of "redo" takes back: the newest undo, where nothing was done since. What was undone before that can
 * still be restored from the log.
 */
export function stepToRedo(entries: readonly Entry[]): readonly WithdrawEntry[] {
  const standing = standingWithdrawals(entries)
  const undone = newestAction(standing.filter(({ reason }) => reason === 'undo')).filter(isWithdrawal)
  const done = stepToUndo(entries)[0]?.action ?? ''
  return (undone[0]?.action ?? '') > done ? undone : []
}

/**
 * The withdrawals that put entries back which were undone or taken out, and nothing else that went with them.
 * @param ids entries that do not count; one that was never taken back is left as it is
 */
export function restoreDrafts(
  entries: readonly Entry[],
  ids: readonly EntryId[],
  at: IsoTime,
): readonly WithdrawDraft[] {
  const meant = new Set(ids)
  const covering = standingWithdrawals(entries).filter(({ targets }) => targets.some((id) => meant.has(id)))
  if (covering.length === 0) return []
  const others = [...new Set(covering.flatMap(({ targets }) => targets))].filter((id) => !meant.has(id))
  const draft = (targets: readonly EntryId[]): WithdrawDraft => ({
    kind: 'withdraw',
    at,
    targets,
    reason: 'restore',
  })
  return [draft(covering.map(({ id }) => id)), ...(others.length > 0 ? [draft(others)] : [])]
}

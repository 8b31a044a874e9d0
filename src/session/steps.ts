import type { Entry, EntryDraft } from '../core/log/entries.ts'
import type { EntryId } from '../core/log/entry.ts'
import { restoreDrafts, stepToRedo, stepToUndo } from '../core/log/steps.ts'
import { stillNew } from '../core/log/still-new.ts'
import { liveEntries, withdrawnIds } from '../core/log/supersede.ts'
import type { Ledger } from '../store/ledger.ts'
import { words } from '../words/session/steps.ts'

/** What was asked did not come about, though the database wrote it: nothing may be claimed. */
export class NotSoError extends Error {
  override readonly name = 'NotSoError'
}

const now = (): string => new Date().toISOString()

/** Writes what the log does not hold already. */
export const recordIn = async (ledger: Ledger, drafts: readonly EntryDraft[]): Promise<readonly Entry[]> =>
  (await ledger.write((entries) => stillNew(entries, drafts))).written

/** Takes out what has not been taken out already. */
export async function withdrawIn(
  ledger: Ledger,
  targets: readonly EntryId[],
  reason?: 'undo',
): Promise<readonly Entry[]> {
  const { written } = await ledger.write((entries) => {
    const gone = withdrawnIds(entries)
    const left = targets.filter((id) => !gone.has(id))
    return left.length === 0
      ? []
      : [{ kind: 'withdraw', at: now(), targets: left, ...(reason && { reason }) }]
  })
  return written
}

/**
 * Makes what came in one step, which one press of undo takes out again: taken out and put back, so that the putting back
 * is what undo takes back. Other devices hear of it like of any other step.
 * @param ids what came in, just now
 * @returns the step: taking it back takes all out again
 */
export async function asOneStep(ledger: Ledger, ids: readonly EntryId[]): Promise<readonly Entry[]> {
  if (ids.length === 0) return []
  // All of them, also what its own withdrawals had taken out: else that would count once those are gone.
  const out = await ledger.write(() => [{ kind: 'withdraw', at: now(), targets: ids, reason: 'undo' }])
  const back = out.written.map(({ id }) => id)
  const { written } = await ledger.write(() => [
    { kind: 'withdraw', at: now(), targets: back, reason: 'restore' },
  ])
  return written
}

/** Puts back what was undone or taken out, of the entries given. */
export const restoreIn = async (ledger: Ledger, ids: readonly EntryId[]): Promise<readonly Entry[]> =>
  (await ledger.write((entries) => restoreDrafts(entries, ids, now()))).written

/**
 * Takes back the newest step of the log as it is at that moment.
 * @returns the entries that no longer count; none where there was nothing to take back
 * @throws NotSoError where the log still counts one of them
 */
export async function undoIn(ledger: Ledger): Promise<readonly Entry[]> {
  let step: readonly Entry[] = []
  const { entries } = await ledger.write((log) => {
    step = stepToUndo(log)
    const targets = step.map(({ id }) => id)
    return targets.length === 0 ? [] : [{ kind: 'withdraw', at: now(), targets, reason: 'undo' }]
  })
  const live = new Set(liveEntries(entries).map(({ id }) => id))
  if (step.some(({ id }) => live.has(id))) throw new NotSoError(words.theLogStillCounts)
  return step
}

/**
 * Takes back the newest undo, where nothing was done since.
 * @returns the entries that count again; none where there was nothing to redo
 * @throws NotSoError where the log does not count them
 */
export async function redoIn(ledger: Ledger): Promise<readonly Entry[]> {
  let undone = new Set<EntryId>()
  const { entries, written } = await ledger.write((log) => {
    const step = stepToRedo(log)
    undone = new Set(step.flatMap(({ targets }) => targets))
    return step.length === 0
      ? []
      : [{ kind: 'withdraw', at: now(), targets: step.map(({ id }) => id), reason: 'redo' }]
  })
  if (written.length === 0) return []
  const gone = withdrawnIds(entries)
  if ([...undone].every((id) => gone.has(id))) throw new NotSoError(words.theLogDoesNot)
  return entries.filter(({ id }) => undone.has(id))
}

import { useMemo } from 'react'
import type { Entry } from '../core/log/entries.ts'
import type { EntryId } from '../core/log/entry.ts'
import { isFull } from '../store/database.ts'
import type { Ledger } from '../store/ledger.ts'
import { DraftError } from '../store/write.ts'
import type { OpenLog } from './log-context.ts'
import { recordIn, redoIn, restoreIn, undoIn, withdrawIn } from './steps.ts'

/** What there is to say of a write that failed. */
export interface WriteFault {
  readonly error: unknown
  readonly full: boolean
  readonly draft?: { readonly field: string; readonly fault: string }
}

/** How the user hears of what is written: the words and the notices are the screens'. */
export interface Telling {
  readonly failed: (fault: WriteFault) => void
  /** What was recorded, with a way back. */
  readonly recorded: (said: string, takeBack: () => void) => void
  /** That just this was in the log already. */
  readonly known: () => void
  readonly undone: (entries: readonly Entry[], putBack: () => void) => void
  readonly redone: (entries: readonly Entry[]) => void
  readonly restored: (ids: readonly EntryId[], takeOut: () => void) => void
}

const faultOf = (error: unknown): WriteFault => ({
  error,
  full: isFull(error),
  ...(error instanceof DraftError && { draft: { field: error.field, fault: error.message } }),
})

type Writing = Pick<OpenLog, 'record' | 'withdraw' | 'restore' | 'undo' | 'redo'>

/** Writing to the log, each act told of. */
export function useWriting(ledger: Ledger, telling: Telling): Writing {
  return useMemo(() => {
    const attempt = async <T>(work: () => Promise<T>): Promise<T | undefined> => {
      try {
        return await work()
      } catch (error) {
        telling.failed(faultOf(error))
        return undefined
      }
    }
    const undoAgain = (written: readonly Entry[]) => () =>
      void attempt(() =>
        withdrawIn(
          ledger,
          written.map(({ id }) => id),
          'undo',
        ),
      )
    const redo = async (): Promise<void> => {
      const redone = await attempt(() => redoIn(ledger))
      if (redone) telling.redone(redone)
    }
    return {
      record: async (drafts, said) => {
        const written = await attempt(() => recordIn(ledger, drafts))
        if (!written || drafts.length === 0) return written
        if (written.length === 0) telling.known()
        else if (said !== undefined) telling.recorded(said, undoAgain(written))
        return written
      },
      withdraw: (targets) => attempt(() => withdrawIn(ledger, targets)),
      restore: async (ids) => {
        const written = await attempt(() => restoreIn(ledger, ids))
        if (written && written.length > 0) telling.restored(ids, undoAgain(written))
        return written
      },
      undo: async () => {
        const undone = await attempt(() => undoIn(ledger))
        if (undone) telling.undone(undone, () => void redo())
      },
      redo,
    }
  }, [ledger, telling])
}

import { useMemo } from 'react'
import type { Telling } from '../session/use-writing.ts'
import { useNotice } from '../ui/parts/notices.tsx'
import { sayCount } from '../words/numbers.ts'
import { sayStep } from '../words/entries/index.ts'
import { sayWriteFault } from '../words/write-faults.ts'
import { words } from '../words/app/use-telling.ts'

/** Tells in notices what was written, undone or refused. */
export function useTelling(): Telling {
  const tell = useNotice()
  return useMemo(
    () => ({
      failed: (fault) => tell(sayWriteFault(fault.error, fault)),
      recorded: (said, takeBack) => tell(said, { label: words.undo, run: takeBack }),
      known: () => tell(words.thatIsInTheLog),
      undone: (entries, putBack) =>
        entries.length === 0
          ? tell(words.thereIsNothingToUndo)
          : tell(words.undone(sayStep(entries)), { label: words.redo, run: putBack }),
      redone: (entries) =>
        tell(entries.length === 0 ? words.thereIsNothingToRedo : words.redone(sayStep(entries))),
      restored: (ids, takeOut) =>
        tell(words.restored(sayCount(ids.length, 'entry')), { label: words.undo, run: takeOut }),
    }),
    [tell],
  )
}

import { useMemo } from 'react'
import type { Telling } from '../session/use-writing.ts'
import { useNotice } from '../ui/parts/notices.tsx'
import { sayCount } from '../words/numbers.ts'
import { sayStep } from '../words/entries/index.ts'
import { sayWriteFault } from '../words/write-faults.ts'

/** Tells in notices what was written, undone or refused. */
export function useTelling(): Telling {
  const tell = useNotice()
  return useMemo(
    () => ({
      failed: (fault) => tell(sayWriteFault(fault.error, fault)),
      recorded: (said, takeBack) => tell(said, { label: 'Undo', run: takeBack }),
      known: () => tell('That is in the log already. Nothing was added.'),
      undone: (entries, putBack) =>
        entries.length === 0
          ? tell('There is nothing to undo.')
          : tell(`Undone: ${sayStep(entries)}.`, { label: 'Redo', run: putBack }),
      redone: (entries) =>
        tell(
          entries.length === 0
            ? 'There is nothing to redo. The log shows what was undone earlier, with Restore.'
            : `Redone: ${sayStep(entries)}.`,
        ),
      restored: (ids, takeOut) =>
        tell(`Restored: ${sayCount(ids.length, 'entry', 'entries')}.`, { label: 'Undo', run: takeOut }),
    }),
    [tell],
  )
}

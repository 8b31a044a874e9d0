import { useRef, useState } from 'react'
import type { EntryId } from '../../core/log/entry.ts'
import type { Merge } from '../../core/log/merge.ts'
import { BackupFileError, type BackupContents } from '../../formats/backup-contents.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { sayCount } from '../../words/numbers.ts'
import { readBackupFile, type BackupReading } from '../../workers/read-backup.ts'
import { words } from '../../words/stations/files/use-backup-in.ts'

/** How it stands with a backup that is brought in. */
export interface BackupIn {
  readonly said?: string
  readonly fault?: true
  /** Share that is read, while it is. */
  readonly progress?: number
  /** Entries of the file that were undone or taken out here: not counted, unless somebody wants them back. */
  readonly undoneHere?: readonly EntryId[]
}

const entries = (count: number): string => sayCount(count, 'entry')

/** What came of it, sentence by sentence. */
export function sayMerge(file: string, contents: BackupContents, merge: Merge): string {
  const beside = contents.aside.length + merge.differing.length
  return [
    contents.remark,
    words.cameInNewFromHere(entries(merge.added.length), file, sayCount(merge.known, 'was')),
    merge.ahead.size > 0 && words.wereWrittenByAClock(entries(merge.ahead.size)),
    beside > 0 && words.couldNotBeCounted(entries(beside)),
    merge.undoneHere.length > 0 && words.inTheFileWere(entries(merge.undoneHere.length)),
  ]
    .filter(Boolean)
    .join(' ')
}

/** Brings backups in: read and checked in a worker, then added, all or nothing. */
export function useBackupIn() {
  const { ledger } = useOpenLog()
  const [state, setState] = useState<BackupIn>({})
  const reading = useRef<BackupReading>(undefined)
  const take = async (file: File) => {
    setState({ said: words.reading(file.name), progress: 0 })
    const held = readBackupFile(file, (progress) => setState({ said: words.reading(file.name), progress }))
    reading.current = held
    try {
      const contents = await held.result
      if (contents === 'cancelled') return setState({ said: words.cancelledNothingWasChanged })
      setState({ said: words.addingWhatIsNew(file.name) })
      const merge = await ledger.merge(contents.entries, contents.aside, contents.pictures)
      setState({
        said: sayMerge(file.name, contents, merge),
        ...(merge.undoneHere.length > 0 && { undoneHere: merge.undoneHere }),
      })
    } catch (error) {
      const why =
        error instanceof BackupFileError || (error instanceof Error && error.name === 'WorkerError')
          ? error.message
          : words.theBrowserCouldNot
      setState({ said: words.nothingWasChanged(why), fault: true })
    }
  }
  return { state, take, cancel: () => reading.current?.cancel(), done: () => setState({}) }
}

import { useRef, useState } from 'react'
import type { EntryId } from '../../core/log/entry.ts'
import type { Merge } from '../../core/log/merge.ts'
import { BackupFileError, type BackupContents } from '../../formats/backup-contents.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { sayCount } from '../../words/numbers.ts'
import { readBackupFile, type BackupReading } from '../../workers/read-backup.ts'

/** How it stands with a backup that is brought in. */
export interface BackupIn {
  readonly said?: string
  readonly fault?: true
  /** Share that is read, while it is. */
  readonly progress?: number
  /** Entries of the file that were undone or taken out here: not counted, unless somebody wants them back. */
  readonly undoneHere?: readonly EntryId[]
}

const entries = (count: number): string => sayCount(count, 'entry', 'entries')

/** What came of it, sentence by sentence. */
export function sayMerge(file: string, contents: BackupContents, merge: Merge): string {
  const beside = contents.aside.length + merge.differing.length
  return [
    contents.remark,
    `${entries(merge.added.length)} came in new from ${file}; ${sayCount(merge.known, 'was', 'were')} here already.`,
    merge.ahead.size > 0 &&
      `${entries(merge.ahead.size)} were written by a clock that runs ahead; they now count as written today.`,
    beside > 0 && `${entries(beside)} could not be counted and are kept aside, below.`,
    merge.undoneHere.length > 0 &&
      `${entries(merge.undoneHere.length)} in the file were undone or taken out here, and stay so.`,
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
    setState({ said: `Reading ${file.name}…`, progress: 0 })
    const held = readBackupFile(file, (progress) => setState({ said: `Reading ${file.name}…`, progress }))
    reading.current = held
    try {
      const contents = await held.result
      if (contents === 'cancelled') return setState({ said: 'Cancelled. Nothing was changed.' })
      setState({ said: `Adding what is new in ${file.name}…` })
      const merge = await ledger.merge(contents.entries, contents.aside, contents.pictures)
      setState({
        said: sayMerge(file.name, contents, merge),
        ...(merge.undoneHere.length > 0 && { undoneHere: merge.undoneHere }),
      })
    } catch (error) {
      const why =
        error instanceof BackupFileError || (error instanceof Error && error.name === 'WorkerError')
          ? error.message
          : 'The browser could not read or store the file; try again.'
      setState({ said: `${why} Nothing was changed.`, fault: true })
    }
  }
  return { state, take, cancel: () => reading.current?.cancel(), done: () => setState({}) }
}

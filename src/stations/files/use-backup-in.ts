import { useRef, useState } from 'react'
import type { EntryId } from '../../core/log/entry.ts'
import { twoVersions } from '../../core/log/two-versions.ts'
import { BackupFileError, type BackupContents } from '../../formats/backup-contents.ts'
import { useOpenLog, type OpenLog } from '../../session/log-context.ts'
import { asOneStep, withdrawIn } from '../../session/steps.ts'
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
  /** A file of the other world, which comes in only when somebody says so. */
  readonly asked?: { readonly file: string; readonly contents: BackupContents }
  /** It came in all the same: taking this step back takes all of it out again. */
  readonly step?: readonly EntryId[]
}

/** What merging a file came to. */
type Merged = Awaited<ReturnType<OpenLog['ledger']['merge']>>

const entries = (count: number): string => sayCount(count, 'entry')

/** What came of it, sentence by sentence. */
function sayMerge(file: string, contents: BackupContents, merge: Merged, asked: number): string {
  const beside = contents.aside.length + merge.differing.length - asked
  return [
    contents.remark,
    words.cameInNewFromHere(entries(merge.added.length), file, sayCount(merge.known, 'was')),
    merge.ahead.size > 0 && words.wereWrittenByAClock(entries(merge.ahead.size)),
    asked > 0 && words.twoVersions(entries(asked)),
    merge.overruled.length > 0 && words.changedHere(entries(merge.overruled.length)),
    beside > 0 && words.couldNotBeCounted(entries(beside)),
    merge.undoneHere.length > 0 && words.inTheFileWere(entries(merge.undoneHere.length)),
  ]
    .filter(Boolean)
    .join(' ')
}

const idsIn = (ledger: OpenLog['ledger']): readonly EntryId[] => {
  const state = ledger.state()
  return state.status === 'open' ? state.entries.map(({ id }) => id) : []
}

/** Brings backups in: read and checked in a worker, then added, all or nothing. */
export function useBackupIn() {
  const { ledger, world } = useOpenLog()
  const [state, setState] = useState<BackupIn>({})
  const reading = useRef<BackupReading>(undefined)
  const bringIn = async (file: string, contents: BackupContents, isOneStep: boolean): Promise<void> => {
    setState({ said: words.addingWhatIsNew(file) })
    const before = new Set(idsIn(ledger))
    const merge = await ledger.merge(contents.entries, contents.aside, contents.pictures)
    const came = idsIn(ledger).filter((id) => !before.has(id))
    const step = isOneStep ? (await asOneStep(ledger, came)).map(({ id }) => id) : []
    const log = ledger.state()
    const asked = log.status === 'open' ? twoVersions(log.entries, merge.differing).length : 0
    setState({
      said: sayMerge(file, contents, merge, asked),
      ...(merge.undoneHere.length > 0 && { undoneHere: merge.undoneHere }),
      ...(step.length > 0 && { step }),
    })
  }
  const sayFault = (error: unknown): void => {
    const why =
      error instanceof BackupFileError || (error instanceof Error && error.name === 'WorkerError')
        ? error.message
        : words.theBrowserCouldNot
    setState({ said: words.nothingWasChanged(why), fault: true })
  }
  const take = async (file: File) => {
    setState({ said: words.reading(file.name), progress: 0 })
    const held = readBackupFile(file, (progress) => setState({ said: words.reading(file.name), progress }))
    reading.current = held
    try {
      const contents = await held.result
      if (contents === 'cancelled') return setState({ said: words.cancelledNothingWasChanged })
      if (contents.world === world) return await bringIn(file.name, contents, false)
      const say = contents.world === 'demo' ? words.itIsTheDemos : words.itIsSomebodys
      setState({
        said: say(file.name, entries(contents.entries.length)),
        asked: { file: file.name, contents },
      })
    } catch (error) {
      sayFault(error)
    }
  }
  return {
    state,
    take,
    cancel: () => reading.current?.cancel(),
    done: () => setState({}),
    /** Brings in what was asked about. */
    agree: async () => {
      const { asked } = state
      if (asked) await bringIn(asked.file, asked.contents, true).catch(sayFault)
    },
    leave: () => setState({ said: words.leftAlone }),
    takeOut: async () => {
      if (!state.step) return
      await withdrawIn(ledger, state.step, 'undo')
      setState({ said: words.allTakenOut })
    },
  }
}

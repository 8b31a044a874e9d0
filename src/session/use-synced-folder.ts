import { useCallback, useEffect, useRef, useState } from 'react'
import type { Entry } from '../core/log/entries.ts'
import { allAside } from '../store/merge-in.ts'
import { picturesOf } from '../store/pictures.ts'
import { keep, readKept } from '../store/kept.ts'
import type { World } from '../core/log/world.ts'
import type { Ledger } from '../store/ledger.ts'
import { abilities } from './abilities.ts'
import { readAnyhow } from './backup.ts'
import type { FolderState, SafeKeeping } from './safe-keeping.ts'
import { readOthers, writeOwn, type SeenFiles } from './synced-folder.ts'
import { newId } from './new-id.ts'

/** A folder as the browser hands it over, with the leave to use it. */
type Handle = FileSystemDirectoryHandle & {
  readonly values: () => AsyncIterable<FileSystemHandle>
  readonly queryPermission?: (how: { mode: 'readwrite' }) => Promise<PermissionState>
  readonly requestPermission?: (how: { mode: 'readwrite' }) => Promise<PermissionState>
}
type Picker = (how: { id: string; mode: 'readwrite' }) => Promise<Handle>

const FOLDER_KEY = 'folder'
const DEVICE_KEY = 'device'
/** After the last entry it is written so much later, ms: a burst of entries is one file. */
const SETTLE_MS = 1500
/** How often other devices' files are looked for, ms. */
const LOOK_EVERY_MS = 60_000

const pickerOf = (): Picker | undefined => (window as { showDirectoryPicker?: Picker }).showDirectoryPicker
const granted = async (handle: Handle): Promise<boolean> =>
  (await handle.queryPermission?.({ mode: 'readwrite' })) !== 'prompt'

async function deviceName(ledger: Ledger): Promise<string> {
  const held = await readKept(ledger.database, DEVICE_KEY)
  if (typeof held === 'string') return held
  const made = newId().slice(0, 8)
  await keep(ledger.database, DEVICE_KEY, made)
  return made
}

const faultOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))

/**
 * Writes what is new here, and then takes in what the other devices put into the folder: whatever is wrong with their
 * files, one's own is written.
 */
async function takeTurn(
  ledger: Ledger,
  world: World,
  folder: Handle,
  seen: SeenFiles,
  before: readonly Entry[] | undefined,
  onWritten: (stored: readonly Entry[]) => Promise<void>,
): Promise<{ readonly state: FolderState; readonly written?: readonly Entry[] }> {
  const at = new Date().toISOString()
  const base = { name: folder.name, at, broughtIn: 0, passed: [] } as const
  let written: readonly Entry[] | undefined
  let fault: string | undefined
  try {
    const device = await deviceName(ledger)
    const log = ledger.state()
    if (log.status === 'open' && before !== log.stored)
      try {
        const [aside, pictures] = [
          await allAside(ledger.database),
          await picturesOf(ledger.database, log.entries),
        ]
        await writeOwn(folder, device, world, log.stored, aside, pictures, at, readAnyhow)
        await onWritten(log.stored)
        written = log.stored
      } catch (error) {
        fault = faultOf(error)
      }
    const look = await readOthers(folder, device, seen, { world, merge: ledger.merge, read: readAnyhow })
    const state: FolderState =
      fault === undefined
        ? { ...base, ...look, status: 'kept' }
        : { ...base, ...look, status: 'failed', fault }
    return { state, ...(written && { written }) }
  } catch (error) {
    return {
      state: { ...base, status: 'failed', fault: fault ?? faultOf(error) },
      ...(written && { written }),
    }
  }
}

/** Calls back a moment after every change of the log, every minute, and whenever the page is looked at again. */
function atEveryTurn(ledger: Ledger, run: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined
  const unsubscribe = ledger.subscribe(() => {
    clearTimeout(timer)
    timer = setTimeout(run, SETTLE_MS)
  })
  const look = setInterval(run, LOOK_EVERY_MS)
  const onShow = () => document.visibilityState === 'visible' && run()
  document.addEventListener('visibilitychange', onShow)
  return () => {
    clearTimeout(timer)
    clearInterval(look)
    unsubscribe()
    document.removeEventListener('visibilitychange', onShow)
  }
}

/**
 * Keeps a backup up to date in a folder that was chosen once, and takes in what other devices put there. Undefined where
 * the browser cannot write into folders.
 */
export function useSyncedFolder(
  ledger: Ledger,
  world: World,
  onWritten: (stored: readonly Entry[]) => Promise<void>,
): SafeKeeping['folder'] {
  const [state, setState] = useState<FolderState>()
  const handle = useRef<Handle>(undefined)
  const seen = useRef<SeenFiles>(new Map())
  const written = useRef<readonly Entry[]>(undefined)
  const running = useRef(false)

  const run = useCallback(async () => {
    const folder = handle.current
    if (!folder || running.current || ledger.state().status !== 'open') return
    running.current = true
    const turn = await takeTurn(ledger, world, folder, seen.current, written.current, onWritten)
    running.current = false
    if (turn.written) written.current = turn.written
    setState((held) => ({ ...turn.state, broughtIn: (held?.broughtIn ?? 0) + turn.state.broughtIn }))
  }, [ledger, world, onWritten])

  const begin = useCallback(
    (folder: Handle) => {
      handle.current = folder
      setState({ name: folder.name, status: 'working', broughtIn: 0, passed: [] })
      void run()
    },
    [run],
  )

  useEffect(() => {
    if (!abilities.folder) return undefined
    let isWanted = true
    void readKept(ledger.database, FOLDER_KEY).then(async (held) => {
      if (!held || !isWanted) return
      const folder = held as Handle
      if (await granted(folder)) begin(folder)
      else setState({ name: folder.name, status: 'asking', broughtIn: 0, passed: [] })
    })
    const stop = atEveryTurn(ledger, () => void run())
    return () => {
      isWanted = false
      stop()
    }
  }, [ledger, begin, run])

  if (!abilities.folder) return undefined
  return {
    state,
    choose: async () => {
      try {
        const folder = await pickerOf()?.({ id: 'jolt-mile', mode: 'readwrite' })
        if (!folder) return
        await keep(ledger.database, FOLDER_KEY, folder)
        seen.current = new Map()
        written.current = undefined
        begin(folder)
      } catch (error) {
        // Closing the browser's own dialogue is no fault.
        if ((error as Error).name !== 'AbortError')
          setState({ name: 'the folder', status: 'failed', fault: String(error), broughtIn: 0, passed: [] })
      }
    },
    resume: async () => {
      const folder = (await readKept(ledger.database, FOLDER_KEY)) as Handle | undefined
      if (folder && (await folder.requestPermission?.({ mode: 'readwrite' })) === 'granted') begin(folder)
    },
    leave: async () => {
      handle.current = undefined
      await keep(ledger.database, FOLDER_KEY, undefined)
      setState(undefined)
    },
  }
}

import { useCallback, useEffect, useMemo, useState } from 'react'
import type { Entry } from '../core/log/entries.ts'
import type { EntryId } from '../core/log/entry.ts'
import type { World } from '../core/log/world.ts'
import { keep, readKept } from '../store/kept.ts'
import { forgetOverruled, useOverruled } from '../store/overruled.ts'
import type { Ledger } from '../store/ledger.ts'
import { useAside } from '../store/use-aside.ts'
import { unsavedSince, type LastBackup, type SafeKeeping, type StoragePromise } from './safe-keeping.ts'
import { useSyncedFolder } from './use-synced-folder.ts'

const BACKUP_KEY = 'last backup'
const ASKED_KEY = 'asked to be kept'

/** The browser's storage, where it has one to ask. */
const storage = (): StorageManager | undefined => (navigator as { storage?: StorageManager }).storage

async function promiseHeld(): Promise<StoragePromise> {
  try {
    return (await storage()?.persisted()) ? 'given' : 'refused'
  } catch {
    return 'unknown'
  }
}

/**
 * Asks the browser not to delete the log, at the first thing worth keeping and once.
 * @param onAnswer told what it answered
 */
function useStoragePromise(
  ledger: Ledger,
  world: World,
  entries: readonly Entry[],
  onAnswer: (promise: StoragePromise) => void,
): readonly [StoragePromise, () => Promise<void>] {
  const [promise, setPromise] = useState<StoragePromise>('unknown')
  useEffect(() => void promiseHeld().then(setPromise), [])
  const ask = useCallback(async () => {
    await keep(ledger.database, ASKED_KEY, true)
    const given = await storage()
      ?.persist()
      .catch(() => false)
    const answer = given === undefined ? 'unknown' : given ? 'given' : 'refused'
    setPromise(answer)
    onAnswer(answer)
  }, [ledger, onAnswer])
  const isWorthKeeping = world === 'own' && entries.length > 0
  useEffect(() => {
    if (!isWorthKeeping) return
    void Promise.all([promiseHeld(), readKept(ledger.database, ASKED_KEY)]).then(([held, asked]) => {
      if (held === 'refused' && asked !== true) void ask()
    })
  }, [isWorthKeeping, ledger, ask])
  return [promise, ask]
}

/** What is done so that the log is not lost with the browser. */
export function useSafeKeeper(
  ledger: Ledger,
  world: World,
  stored: readonly Entry[],
  onAnswer: (promise: StoragePromise) => void,
): SafeKeeping {
  const [promise, askForPromise] = useStoragePromise(ledger, world, stored, onAnswer)
  const [lastBackup, setLastBackup] = useState<LastBackup>()
  const aside = useAside(ledger.database)
  const overruled = useOverruled(ledger.database)
  const overruledSeen = useCallback(
    (ids: readonly EntryId[]) => forgetOverruled(ledger.database, ids),
    [ledger],
  )
  useEffect(() => {
    let isWanted = true
    void readKept(ledger.database, BACKUP_KEY).then(
      (held) => isWanted && setLastBackup(held as LastBackup | undefined),
    )
    return () => {
      isWanted = false
    }
  }, [ledger])
  const backupSaved = useCallback(
    async (saved: readonly Entry[]) => {
      const last = saved.at(-1)?.id
      const backup: LastBackup = { at: new Date().toISOString(), ...(last !== undefined && { last }) }
      await keep(ledger.database, BACKUP_KEY, backup)
      setLastBackup(backup)
    },
    [ledger],
  )
  const folder = useSyncedFolder(ledger, world, backupSaved)
  const unsaved = useMemo(() => unsavedSince(stored, lastBackup), [stored, lastBackup])
  return useMemo(
    () => ({
      promise,
      askForPromise,
      lastBackup,
      unsaved,
      aside,
      overruled,
      overruledSeen,
      backupSaved,
      folder,
    }),
    [promise, askForPromise, lastBackup, unsaved, aside, overruled, overruledSeen, backupSaved, folder],
  )
}

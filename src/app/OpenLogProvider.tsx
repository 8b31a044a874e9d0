import { useEffect, useMemo, useState, type ReactNode } from 'react'
import type { EntryDraft } from '../core/log/entries.ts'
import { followLog } from '../core/log/replay-more.ts'
import { append, mergeIn } from '../store/write.ts'
import { LogContext, type OpenLog } from '../store/log-context.ts'
import { useLog } from '../store/live-log.ts'
import { useNotice } from '../ui/parts/notices.tsx'
import { makeDemoWorld } from '../workers/demo-world.ts'
import { database, world } from './world.ts'

const MINUTE = 60_000

/** The time, moved on every five minutes and whenever the page is looked at again. */
function useNow(): string {
  const [now, setNow] = useState(() => new Date().toISOString())
  useEffect(() => {
    const tick = () => setNow(new Date().toISOString())
    const timer = setInterval(tick, 5 * MINUTE)
    const onShow = () => document.visibilityState === 'visible' && tick()
    document.addEventListener('visibilitychange', onShow)
    return () => {
      clearInterval(timer)
      document.removeEventListener('visibilitychange', onShow)
    }
  }, [])
  return now
}

let demoWriting: Promise<unknown> | undefined
/** Writes the demo garage into its own database, once at a time, whenever it is entered and found empty. */
function enterDemo(): Promise<unknown> {
  demoWriting ??= makeDemoWorld(new Date().toISOString())
    .then((entries) => mergeIn(database, entries))
    .finally(() => (demoWriting = undefined))
  return demoWriting
}

/** Writing to the log, with a word to the user about what happened. */
function useWriting(): Pick<OpenLog, 'record' | 'withdraw'> {
  const tell = useNotice()
  return useMemo(() => {
    const attempt = async (drafts: readonly EntryDraft[]) => {
      try {
        return await append(database, drafts)
      } catch {
        tell(
          'That could not be saved: the browser refused to write. What you entered is still here; try again.',
        )
        return undefined
      }
    }
    const withdraw: OpenLog['withdraw'] = (targets) =>
      attempt([{ kind: 'withdraw', at: new Date().toISOString(), targets }])
    const record: OpenLog['record'] = async (drafts, said) => {
      const written = await attempt(drafts)
      if (written && said !== undefined)
        tell(said, { label: 'Undo', run: () => void withdraw(written.map((entry) => entry.id)) })
      return written
    }
    return { record, withdraw }
  }, [tell])
}

/** Opens the log of this world and keeps what it says at hand for every station. */
export function OpenLogProvider({ children }: { readonly children: ReactNode }) {
  const entries = useLog(database)
  const now = useNow()
  const [fault, setFault] = useState<unknown>()
  const wantsDemo = world === 'demo' && entries?.length === 0
  useEffect(() => {
    if (wantsDemo) enterDemo().catch(setFault)
  }, [wantsDemo])
  const [follow] = useState(followLog)
  const garage = useMemo(() => entries && follow(entries), [entries, follow])
  const writing = useWriting()
  const open = useMemo<OpenLog | undefined>(
    () => entries && garage && { world, database, entries, garage, now, ...writing },
    [entries, garage, now, writing],
  )
  if (fault instanceof Error) throw fault
  if (!open || wantsDemo)
    return (
      <p role="status" className="p-9 text-steel">
        {wantsDemo ? 'Opening the garage of Ostermere…' : 'Opening the log…'}
      </p>
    )
  return <LogContext value={open}>{children}</LogContext>
}

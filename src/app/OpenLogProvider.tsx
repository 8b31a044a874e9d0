import { useCallback, useEffect, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react'
import { followLog, type LogFollower } from '../core/log/replay-more.ts'
import { replaySteps } from '../core/log/replay.ts'
import type { Entry } from '../core/log/entries.ts'
import { entryChecks } from '../formats/entry-checks.ts'
import { inSlices } from '../session/in-slices.ts'
import { LogContext, type OpenLog } from '../session/log-context.ts'
import { SafeKeepingContext, type StoragePromise } from '../session/safe-keeping.ts'
import { useSafeKeeper } from '../session/use-safe-keeping.ts'
import { useWriting } from '../session/use-writing.ts'
import { keep, readKept } from '../store/kept.ts'
import { dropPicture, keepPicture, picturesOf, readPicture } from '../store/pictures.ts'
import { useNotice } from '../ui/parts/notices.tsx'
import { makeDemoWorld } from '../workers/demo-world.ts'
import { entriesLastTime, hasSeenEntries, markEntries } from './log-mark.ts'
import { LogLost, notOpen } from './LogStates.tsx'
import { useTelling } from './use-telling.ts'
import { ledger, world } from './world.ts'
import { words } from '../words/app/open-log-provider.ts'

const MINUTE = 60_000
/** What writing takes is fetched so long after the log was opened, ms: nothing is drawn with it. */
const FETCH_AFTER_MS = 1000

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
    .then(({ entries, pictures: shown }) => ledger.merge(entries, [], shown))
    .finally(() => (demoWriting = undefined))
  return demoWriting
}

const kept: OpenLog['kept'] = {
  read: (key) => readKept(ledger.database, key),
  keep: (key, value) => keep(ledger.database, key, value),
}

const pictures: OpenLog['pictures'] = {
  read: (id) => readPicture(ledger.database, id),
  keep: (jpeg) => keepPicture(ledger.database, jpeg),
  drop: (id) => dropPicture(ledger.database, id),
  all: async () => {
    const state = ledger.state()
    return state.status === 'open' ? picturesOf(ledger.database, state.entries) : []
  },
}

const PROMISE_WORDS: Readonly<Record<StoragePromise, string>> = {
  given: words.yourLogLivesInThisBrowser,
  refused: words.yourLogLivesInThis,
  unknown: words.yourLogLivesInThisBrowserAlone,
}

interface OpenProps {
  readonly stored: readonly Entry[]
  readonly entries: readonly Entry[]
  readonly follow: LogFollower
  readonly children: ReactNode
}

/** What an open log says, kept at hand for every station. */
function Open({ stored, entries, follow, children }: OpenProps) {
  const now = useNow()
  const tell = useNotice()
  const garage = useMemo(() => follow(entries), [entries, follow])
  const writing = useWriting(ledger, useTelling())
  const onAnswer = useCallback((promise: StoragePromise) => tell(PROMISE_WORDS[promise]), [tell])
  const keeping = useSafeKeeper(ledger, world, stored, onAnswer)
  useEffect(() => {
    // The first entry does not wait for it then, and it is there when the network is not.
    const timer = setTimeout(() => void entryChecks().catch(() => undefined), FETCH_AFTER_MS)
    return () => clearTimeout(timer)
  }, [])
  const open = useMemo<OpenLog>(
    () => ({ world, ledger, kept, pictures, entries, garage, now, ...writing }),
    [entries, garage, now, writing],
  )
  return (
    <SafeKeepingContext value={keeping}>
      <LogContext value={open}>{children}</LogContext>
    </SafeKeepingContext>
  )
}

/**
 * Follows the log from when it was first read; undefined while a long one is gone through, a slice at a time. What goes
 * wrong on the way is thrown where it is drawn, so that the page says so.
 */
function useFollower(entries: readonly Entry[] | undefined): LogFollower | undefined {
  const [follower, setFollower] = useState<LogFollower>()
  const [fault, setFault] = useState<unknown>()
  const isMissing = follower === undefined
  useEffect(() => {
    if (!isMissing || entries === undefined) return
    let isWanted = true
    void inSlices(replaySteps(entries), () => isWanted).then(
      (replayed) => replayed && setFollower(() => followLog({ entries, replayed })),
      setFault,
    )
    return () => {
      isWanted = false
    }
  }, [entries, isMissing])
  if (fault instanceof Error) throw fault
  return follower
}

const Opening = ({ children }: { readonly children: string }) => (
  <p role="status" className="p-9 text-steel">
    {children}
  </p>
)

/** Opens the log of this world, or says why it cannot be and what to do. */
export function OpenLogProvider({ children }: { readonly children: ReactNode }) {
  const state = useSyncExternalStore(ledger.subscribe, ledger.state)
  const [fault, setFault] = useState<unknown>()
  const follow = useFollower(state.status === 'open' ? state.entries : undefined)
  useEffect(() => {
    if (ledger.state().status === 'opening') ledger.open()
  }, [])
  const wantsDemo = world === 'demo' && state.status === 'open' && state.entries.length === 0
  useEffect(() => {
    if (wantsDemo) enterDemo().catch(setFault)
  }, [wantsDemo])
  const count = state.status === 'open' ? state.stored.length : undefined
  // What was here the last time, looked up once: while the page is open the log may be wiped on purpose.
  const [before, setBefore] = useState(entriesLastTime)
  const isLost = world === 'own' && count === 0 && before > 0 && !hasSeenEntries()
  useEffect(() => {
    if (count !== undefined && !isLost) markEntries(count)
  }, [count, isLost])
  if (fault instanceof Error) throw fault
  const shut = notOpen(state, ledger)
  if (shut !== undefined) return shut
  if (state.status !== 'open') return <Opening>{words.openingTheLog}</Opening>
  if (isLost) return <LogLost count={before} onGoOn={() => setBefore(0)} />
  if (wantsDemo) return <Opening>{words.openingTheGarageOfOstermere}</Opening>
  if (!follow) return <Opening>{words.openingTheLog}</Opening>
  return (
    <Open stored={state.stored} entries={state.entries} follow={follow}>
      {children}
    </Open>
  )
}

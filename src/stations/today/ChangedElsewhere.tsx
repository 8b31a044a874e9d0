import { useDeferredValue, useMemo } from 'react'
import type { Entry } from '../../core/log/entries.ts'
import { stillOverruled, type Overruled } from '../../core/log/overruled.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useSafeKeeping } from '../../session/safe-keeping.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { useNotice } from '../../ui/parts/notices.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useOnce } from '../../ui/use-once.ts'
import { sayCount } from '../../words/numbers.ts'
import { sayLine } from '../../words/two-versions.ts'
import { words } from '../../words/stations/today/from-elsewhere.ts'

const SHOWN = 8
const NONE: readonly Entry[] = []

/** Makes everything count as it did before it came in. */
function usePutBack(changed: readonly Overruled[]) {
  const { withdraw, restore } = useOpenLog()
  const { overruledSeen } = useSafeKeeping()
  const tell = useNotice()
  return useOnce(async () => {
    const out = changed.flatMap(({ id, now, again }) => (now === undefined && !again ? [id] : []))
    const wrong = changed.flatMap(({ id, now, again }) => (again ? [id] : (now ?? [])))
    if (out.length > 0 && !(await restore(out))) return
    if (wrong.length > 0 && !(await withdraw(wrong))) return
    await overruledSeen(changed.map(({ id }) => id))
    // Restoring says so by itself.
    if (out.length === 0) tell(words.putBack)
  })
}

/** What other devices took out, corrected or put back, told until somebody has seen it. */
export function ChangedElsewhere() {
  const { entries, garage, now } = useOpenLog()
  const { overruled, overruledSeen } = useSafeKeeping()
  const units = useUnits()
  const later = useDeferredValue(entries, NONE)
  const changed = useMemo(() => stillOverruled(later, overruled), [later, overruled])
  const byId = useMemo(
    () => (changed.length > 0 ? new Map(later.map((entry) => [entry.id, entry])) : undefined),
    [changed, later],
  )
  const [putBack, puttingBack] = usePutBack(changed)
  const [leave, leaving] = useOnce(() => overruledSeen(overruled.map(({ id }) => id)))
  if (!byId || changed.length === 0) return null
  const line = (id: string | undefined): string => {
    const entry = id === undefined ? undefined : byId.get(id)
    return entry ? sayLine(entry, { garage, units, now }) : ''
  }
  const busy = puttingBack || leaving
  return (
    <section aria-label={words.changedElsewhere} className="border-b border-hairline py-3">
      <p className="font-semibold">{words.aFileChanged(sayCount(changed.length, 'entry'))}</p>
      <ul className="mt-1 [overflow-wrap:anywhere]">
        {changed.slice(0, SHOWN).map(({ id, now: stands, again }) => (
          <li key={id} className="py-1">
            {again
              ? words.countsAgain(line(id))
              : stands === undefined
                ? words.takenOut(line(id))
                : words.corrected(line(id), line(stands))}
          </li>
        ))}
      </ul>
      {changed.length > SHOWN && (
        <p className="text-sm text-steel">{words.andMore(changed.length - SHOWN)}</p>
      )}
      <div className="mt-2 flex flex-wrap gap-3">
        <Button disabled={busy} onClick={() => leave()}>
          {words.allRight}
        </Button>
        <Button look="link" disabled={busy} onClick={() => putBack()}>
          {words.putItBack}
        </Button>
      </div>
    </section>
  )
}

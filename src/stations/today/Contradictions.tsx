import { useDeferredValue, useMemo } from 'react'
import { conflictsIn, otherSides, type Conflict } from '../../core/log/conflicts.ts'
import type { Entry } from '../../core/log/entries.ts'
import type { EntryId } from '../../core/log/entry.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { useNotice } from '../../ui/parts/notices.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useOnce } from '../../ui/use-once.ts'
import { askConflict, saySide, SETTLED } from '../../words/conflict-words.ts'
import { words } from '../../words/stations/today/contradictions.ts'

function Question({ conflict }: { readonly conflict: Conflict }) {
  const { entries, garage, now, withdraw, record } = useOpenLog()
  const units = useUnits()
  const tell = useNotice()
  const [keep, keeping] = useOnce(async (id: EntryId) => {
    if (await withdraw(otherSides(entries, conflict, id))) tell(SETTLED.one)
  })
  const [keepAll, keepingAll] = useOnce(() =>
    record([{ kind: 'settled', at: now, targets: conflict.sides.map(({ id }) => id) }], SETTLED.all),
  )
  const busy = keeping || keepingAll
  return (
    <li className="border-t border-hairline py-3">
      <p className="font-semibold">{askConflict(conflict, garage, now)}</p>
      <ul className="mt-1">
        {conflict.sides.map((side) => {
          const said = saySide(conflict, side, garage, units, now)
          return (
            <li key={side.id} className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 py-1">
              <span className="min-w-0">{said}</span>
              <Button disabled={busy} aria-label={words.thisOneIsRight(said)} onClick={() => keep(side.id)}>
                {words.thisOneIsRight2}
              </Button>
            </li>
          )
        })}
      </ul>
      <Button look="link" disabled={busy} onClick={() => keepAll()}>
        {conflict.about === 'correction' ? words.leaveItTheNewest : words.allOfItHappened}
      </Button>
    </li>
  )
}

const NONE: readonly Entry[] = []

/** What two devices wrote without knowing of one another, asked about; nothing where nothing contradicts. */
export function Contradictions() {
  const { entries } = useOpenLog()
  // Looked for after the list is drawn: in a workshop's log it takes as long as a picture or two.
  const later = useDeferredValue(entries, NONE)
  const conflicts = useMemo(() => conflictsIn(later), [later])
  if (conflicts.length === 0) return null
  return (
    <section aria-label={words.entriesThatContradict} className="mt-4 border-b border-hairline">
      <ul>
        {conflicts.map((conflict) => (
          <Question
            key={`${conflict.about} ${conflict.sides.map(({ id }) => id).join(' ')}`}
            conflict={conflict}
          />
        ))}
      </ul>
    </section>
  )
}

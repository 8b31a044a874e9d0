import { useDeferredValue } from 'react'
import type { Entry } from '../../core/log/entries.ts'
import { decidedDraft, type TwoVersions as Versions } from '../../core/log/two-versions.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useTwoVersions } from '../../session/use-two-versions.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useOnce } from '../../ui/use-once.ts'
import { sayVersion } from '../../words/two-versions.ts'
import { words } from '../../words/stations/today/from-elsewhere.ts'

function Question({ versions }: { readonly versions: Versions }) {
  const { garage, now, record } = useOpenLog()
  const units = useUnits()
  const { ours, theirs } = versions
  const [keep, busy] = useOnce((right: Entry) => record([decidedDraft(versions, right)], words.kept))
  const said = { garage, units, now }
  const sides = [
    { entry: ours, line: words.here(sayVersion(ours, theirs, said)) },
    { entry: theirs, line: words.cameIn(sayVersion(theirs, ours, said)) },
  ]
  return (
    <li className="border-t border-hairline py-3">
      <p className="font-semibold">{words.oneEntrySaysTwoThings}</p>
      <ul className="mt-1">
        {sides.map(({ entry, line }, i) => (
          <li key={i} className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 py-1">
            <span className="min-w-0 [overflow-wrap:anywhere]">{line}</span>
            <Button disabled={busy} aria-label={words.thisOneIsRightSaid(line)} onClick={() => keep(entry)}>
              {words.thisOneIsRight}
            </Button>
          </li>
        ))}
      </ul>
    </li>
  )
}

const NONE: readonly Entry[] = []

/** What a file says of an entry and this log says otherwise, asked about; nothing where nothing contradicts. */
export function TwoVersions() {
  const { entries } = useOpenLog()
  const versions = useTwoVersions(useDeferredValue(entries, NONE))
  if (versions.length === 0) return null
  return (
    <section aria-label={words.entriesOfTwoVersions} className="mt-4 border-b border-hairline">
      <ul>
        {versions.map((one) => (
          <Question key={`${one.ours.id} ${JSON.stringify(one.theirs)}`} versions={one} />
        ))}
      </ul>
    </section>
  )
}

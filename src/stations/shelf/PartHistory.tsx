import { entryAddress, newEntryAddress } from '../../words/places.ts'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { aboutOf } from '../../core/log/kind-of.ts'
import type { PartId } from '../../core/log/entry.ts'
import { liveEntries } from '../../core/log/supersede.ts'
import { likelySlips } from '../../core/strategy/facts/likely-slips.ts'
import { useAnswers } from '../../session/use-forecasts.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { sayEntry } from '../../words/entries/index.ts'
import { newestFirst } from '../../words/entries/search.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { SlipRemark } from '../../ui/parts/SlipRemark.tsx'
import { sayDay } from '../../words/numbers.ts'
import { words } from '../../words/stations/shelf/part-history.ts'

/** Everything the log says about one part, newest first; each line opens its entry. */
export function PartHistory({ part }: { readonly part: PartId }) {
  const { entries, garage, now } = useOpenLog()
  const units = useUnits()
  const about = useMemo(
    () =>
      liveEntries(entries)
        .filter((entry) => aboutOf(entry).includes(part))
        .sort(newestFirst),
    [entries, part],
  )
  const [answer] = useAnswers(useMemo(() => [part], [part]))
  const slips = useMemo(() => likelySlips(garage.readings.get(part) ?? [], answer), [garage, part, answer])
  return (
    <>
      <Link
        to={newEntryAddress('note', part)}
        className="mb-2 inline-flex min-h-11 items-center underline underline-offset-4"
      >
        {words.addANote}
      </Link>
      <ul aria-label={words.history} className="divide-y divide-hairline border-y border-hairline">
        {about.map((entry) => (
          <li key={entry.id} className="py-2 text-[0.95rem]">
            <span className="block text-sm text-steel tabular-nums">{sayDay(entry.at, now)}</span>
            <Link
              to={entryAddress(entry.id)}
              className="underline decoration-hairline underline-offset-4 [overflow-wrap:anywhere] hover:decoration-ink"
            >
              {sayEntry(entry, garage, units)}
            </Link>
            <SlipRemark chance={slips.get(entry.id)} />
          </li>
        ))}
      </ul>
    </>
  )
}

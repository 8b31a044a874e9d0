import { useMemo } from 'react'
import { Link } from 'react-router'
import { checksOfNoCog } from '../../core/strategy/facts/checks-of-no-cog.ts'
import type { BikeId } from '../../core/log/entry.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { sayEntry } from '../../words/entries/index.ts'
import { entryAddress } from '../../words/places.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { sayDay } from '../../words/numbers.ts'

/** Checks of a cog that the cassette does not have, to be put right. */
export function StrangeChecks({ bike }: { readonly bike: BikeId }) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const strange = useMemo(() => checksOfNoCog(garage, bike), [garage, bike])
  if (strange.length === 0) return null
  return (
    <div role="note" className="border-l-4 border-ochre pl-3 text-[0.95rem]">
      <p>
        {strange.length === 1 ? 'One check is' : `${strange.length} checks are`} of a cog that this cassette
        does not have, and {strange.length === 1 ? 'counts' : 'count'} for nothing. Take{' '}
        {strange.length === 1 ? 'it' : 'them'} out, or correct the cassette’s cogs:
      </p>
      <ul>
        {strange.map((entry) => (
          <li key={entry.id}>
            <Link to={entryAddress(entry.id)} className="inline-flex min-h-8 items-center underline">
              {sayEntry(entry, garage, units)}, {sayDay(entry.at, now)}
            </Link>
          </li>
        ))}
      </ul>
    </div>
  )
}

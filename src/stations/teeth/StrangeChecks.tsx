import { useMemo } from 'react'
import { Link } from 'react-router'
import { checksOfNoCog } from '../../core/strategy/facts/checks-of-no-cog.ts'
import type { BikeId } from '../../core/log/entry.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { sayEntry } from '../../words/entries/index.ts'
import { entryAddress } from '../../words/places.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { sayDay } from '../../words/numbers.ts'
import { words } from '../../words/stations/teeth/strange-checks.ts'

/** Checks of a cog that the cassette does not have, to be put right. */
export function StrangeChecks({ bike }: { readonly bike: BikeId }) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const strange = useMemo(() => checksOfNoCog(garage, bike), [garage, bike])
  if (strange.length === 0) return null
  return (
    <div role="note" className="border-l-4 border-ochre pl-3 text-[0.95rem]">
      <p>
        {words.ofACogThatThisCassette(
          strange.length === 1 ? words.oneCheckIs : words.checksAre(strange.length),
          strange.length === 1 ? words.counts : words.count,
          strange.length === 1 ? words.it : words.them,
        )}
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

import { entryAddress } from '../../words/places.ts'
import { useVirtualizer } from '@tanstack/react-virtual'
import { Pencil, Trash2 } from 'lucide-react'
import { useMemo, useRef } from 'react'
import { Link } from 'react-router'
import type { Ride } from '../../core/log/garage.ts'
import { linesOf } from '../../core/log/supersede.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useNotice } from '../../ui/parts/notices.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../words/names.ts'
import { sayCount, sayDay, sayKm } from '../../words/numbers.ts'
import { words } from '../../words/stations/miles/ride-list.ts'

const ROW_PX = 46

/** The bike's rides, newest first. Only the rows in sight are drawn: twenty thousand are no more work than twenty. */
export function RideList({ rides }: { readonly rides: readonly Ride[] }) {
  const { entries, now, withdraw, restore } = useOpenLog()
  const tell = useNotice()
  const units = useUnits()
  const box = useRef<HTMLDivElement>(null)
  const newest = useMemo(() => [...rides].reverse(), [rides])
  // The compiler cannot see through the virtualiser's functions; this component is not compiled.
  // eslint-disable-next-line react-hooks/incompatible-library
  const rows = useVirtualizer({
    count: newest.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW_PX,
    overscan: 8,
  })
  const remove = async (ride: Ride) => {
    const line = linesOf(entries, [ride.id])
    const [taken] = (await withdraw(line)) ?? []
    if (taken)
      tell(words.rideOfTakenOut(sayDay(ride.at, now)), {
        label: words.putBack,
        run: () => void restore(line),
      })
  }
  return (
    <Section
      title={words.rides}
      note={rides.length === 0 ? undefined : words.newestFirst(sayCount(rides.length, 'ride'))}
    >
      {rides.length === 0 ? (
        <p className="text-steel">{words.noneYetDropRecorded}</p>
      ) : (
        <div
          ref={box}
          className="h-96 overflow-y-auto border-y border-hairline"
          role="region"
          aria-label={words.rides}
          tabIndex={0}
        >
          <ul className="relative" style={{ height: rows.getTotalSize() }}>
            {rows.getVirtualItems().map(({ index, start }) => {
              const ride = newest[index]
              if (!ride) return null
              return (
                <li
                  key={ride.id}
                  aria-setsize={newest.length}
                  aria-posinset={index + 1}
                  className="absolute inset-x-0 flex items-center gap-3 border-b border-hairline/70 pr-2 text-[0.95rem]"
                  style={{ top: start, height: ROW_PX }}
                >
                  <span className="w-36 shrink-0 max-sm:w-28">{sayDay(ride.at, now)}</span>
                  <span className="w-20 shrink-0 text-right max-sm:w-14">{sayKm(ride.km, units)}</span>
                  <span className="min-w-0 flex-1 truncate pl-3 text-steel">
                    {ride.unsure
                      ? ride.spread
                        ? words.byTheBikesComputer
                        : words.notSetProbably(CONDITION_NAMES[ride.condition])
                      : CONDITION_NAMES[ride.condition]}
                    {ride.source ? `, ${ride.source.file}` : ''}
                  </span>
                  {ride.spread ? null : (
                    <Link
                      to={entryAddress(ride.id)}
                      className="grid size-9 shrink-0 place-items-center text-steel hover:text-petrol"
                      aria-label={words.correctTheRideOf(sayDay(ride.at, now), sayKm(ride.km, units))}
                    >
                      <Pencil aria-hidden="true" className="size-4" />
                    </Link>
                  )}
                  <button
                    type="button"
                    hidden={ride.spread === true}
                    className="grid size-9 shrink-0 place-items-center text-steel hover:text-rust"
                    aria-label={words.removeTheRideOf(sayDay(ride.at, now), sayKm(ride.km, units))}
                    onClick={() => void remove(ride)}
                  >
                    <Trash2 aria-hidden="true" className="size-4" />
                  </button>
                </li>
              )
            })}
          </ul>
        </div>
      )}
    </Section>
  )
}

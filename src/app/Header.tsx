import { ChevronDown, Menu } from 'lucide-react'
import { useState } from 'react'
import { NavLink } from 'react-router'
import clsx from 'clsx'
import { totalKm } from '../core/exposure/distance.ts'
import { useOpenLog } from '../session/log-context.ts'
import { useUnits } from '../ui/screen-state.ts'
import { useBikeId } from '../ui/use-bike-id.ts'
import { sayKm } from '../words/numbers.ts'
import { STATION_LIST } from '../words/places.ts'
import { BarMenu } from './BarMenu.tsx'
import { words } from '../words/app/header.ts'

/** The current bike, always in sight, and the way to another. */
export function BikeSwitcher({
  open,
  onOpen,
}: {
  readonly open: boolean
  readonly onOpen: (open: boolean) => void
}) {
  const { garage } = useOpenLog()
  const units = useUnits()
  const current = useBikeId(garage)
  const bike = current === undefined ? undefined : garage.bikes.get(current)
  if (!bike) return <p className="font-heading text-2xl">{words.joltMile}</p>
  return (
    <BarMenu
      which="bikes"
      open={open}
      onOpen={onOpen}
      className="-m-2 flex max-w-[calc(100%+1rem)] min-w-0 flex-col p-2 text-left"
      aria-label={words.switchBike(bike.entry.name)}
    >
      <span className="flex max-w-full items-center gap-1.5 font-heading text-[1.75rem] leading-none font-medium max-sm:text-xl">
        <span className="truncate py-1 leading-[1.1]">{bike.entry.name}</span>
        <ChevronDown aria-hidden="true" className="size-5 shrink-0 text-on-bar-soft" />
      </span>
      <span className="mt-0.5 max-w-64 truncate text-xs text-on-bar-soft max-md:hidden">
        <span className="font-mono">{sayKm(totalKm(bike.rides), units)}</span>
        {bike.entry.note !== '' && ` · ${bike.entry.note}`}
      </span>
    </BarMenu>
  )
}

/** The stations as posts along a road. */
function Road() {
  return (
    <nav
      aria-label={words.stations}
      className="min-w-0 flex-1 max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-30 max-md:bg-bar max-md:pb-[env(safe-area-inset-bottom)]"
    >
      <ul className="mx-auto flex max-w-[46rem] justify-between">
        {STATION_LIST.filter((station) => !station.beside).map((station) => (
          <li key={station.path} className="flex-1">
            <NavLink
              to={station.path}
              end
              className={({ isActive }) =>
                clsx(
                  'group flex min-h-12 flex-col items-center justify-end text-[0.95rem] leading-tight max-md:min-h-14 max-md:justify-center max-md:text-sm',
                  isActive ? 'font-semibold text-jolt' : 'text-on-bar hover:text-jolt',
                )
              }
            >
              {({ isActive }) => (
                <>
                  {station.name}
                  <span
                    aria-hidden="true"
                    className={clsx(
                      'mt-1 flex h-3.5 w-full items-end justify-center border-b-2 border-bar-line',
                      'max-md:order-first max-md:mt-0 max-md:mb-1 max-md:h-2 max-md:items-start max-md:border-t-2 max-md:border-b-0',
                    )}
                  >
                    <span className={clsx('h-full', isActive ? 'w-1 bg-jolt' : 'w-0.5 bg-bar-line')} />
                  </span>
                  <span
                    aria-hidden="true"
                    className="mt-1 font-mono text-[0.65rem] font-normal text-on-bar-soft max-md:hidden"
                  >
                    g {station.key}
                  </span>
                </>
              )}
            </NavLink>
          </li>
        ))}
      </ul>
    </nav>
  )
}

function More() {
  const [open, setOpen] = useState(false)
  return (
    <BarMenu
      which="more"
      open={open}
      onOpen={setOpen}
      className="-m-2 flex min-h-11 items-center gap-2 p-2 text-[0.95rem]"
    >
      <Menu aria-hidden="true" className="size-5" />
      {words.more}
    </BarMenu>
  )
}

interface HeaderProps {
  readonly bikesOpen: boolean
  readonly onBikesOpen: (open: boolean) => void
}

/** The bar over every station. */
export function Header({ bikesOpen, onBikesOpen }: HeaderProps) {
  const { world } = useOpenLog()
  return (
    <header className="on-bar bg-bar text-on-bar">
      <div className="mx-auto flex min-h-[4.75rem] max-w-[80rem] items-center gap-8 px-9 max-md:min-h-16 max-md:gap-4 max-md:px-4">
        <div className="w-64 min-w-0 shrink-0 max-lg:w-44 max-md:w-auto max-md:flex-1">
          <BikeSwitcher open={bikesOpen} onOpen={onBikesOpen} />
        </div>
        <Road />
        <div className="flex shrink-0 items-center gap-4">
          {world === 'demo' && (
            <a href="/" className="text-sm text-on-bar-soft underline underline-offset-4 hover:text-jolt">
              {words.demoLeave}
            </a>
          )}
          <More />
        </div>
      </div>
    </header>
  )
}

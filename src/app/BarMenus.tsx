import { DropdownMenu } from 'radix-ui'
import { useNavigate } from 'react-router'
import { useOpenLog } from '../session/log-context.ts'
import {
  benchToggled,
  bikeChosen,
  finderToggled,
  keysToggled,
  mannerToggled,
  newToggled,
  saveToggled,
  themeChosen,
  unitsChosen,
  useScreen,
  useSend,
} from '../ui/screen-state.ts'
import { STATION_LIST } from '../words/places.ts'
import { useBikeId } from '../ui/use-bike-id.ts'
import type { BarMenuProps } from './bar-menu-props.ts'
import { DEMO_PATH } from './world.ts'
import { words } from '../words/app/bar-menus.ts'

const MENU =
  'z-50 min-w-56 max-h-[80dvh] overflow-y-auto rounded-[3px] border border-bar-line bg-bar p-1 text-on-bar shadow-xl'
const ITEM =
  'flex min-h-11 cursor-pointer items-center justify-between gap-6 rounded-[2px] px-3 outline-none data-highlighted:bg-jolt data-highlighted:text-on-jolt'

/** The bikes there are. */
export function BikeMenu({ open, onOpen, children, ...trigger }: BarMenuProps) {
  const { garage } = useOpenLog()
  const send = useSend()
  const current = useBikeId(garage)
  return (
    <DropdownMenu.Root open={open} onOpenChange={onOpen}>
      <DropdownMenu.Trigger {...trigger}>{children}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="start" sideOffset={8} className={MENU}>
          {[...garage.bikes.values()].map(({ entry }) => (
            <DropdownMenu.Item
              key={entry.bike}
              className={ITEM}
              onSelect={() => send(bikeChosen(entry.bike))}
            >
              <span className="max-w-72 min-w-0 [overflow-wrap:anywhere]">{entry.name}</span>
              {entry.bike === current && <span className="text-sm opacity-80">{words.hereNow}</span>}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

/** What stands beside the road: stations, commands, settings. */
export function MoreMenu({ open, onOpen, children, ...trigger }: BarMenuProps) {
  const { world } = useOpenLog()
  const navigate = useNavigate()
  const send = useSend()
  const { theme, units, bench } = useScreen((state) => state.screen)
  const dark = (theme ?? document.documentElement.dataset['theme']) === 'late-shop'
  return (
    <DropdownMenu.Root open={open} onOpenChange={onOpen}>
      <DropdownMenu.Trigger {...trigger}>{children}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" sideOffset={8} className={MENU}>
          {STATION_LIST.filter((station) => station.beside).map((station) => (
            <DropdownMenu.Item
              key={station.path}
              className={ITEM}
              onSelect={() => void navigate(station.path)}
            >
              {station.name} <kbd className="font-mono text-xs opacity-80">g {station.key}</kbd>
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Separator className="my-1 h-px bg-bar-line" />
          <DropdownMenu.Item className={ITEM} onSelect={() => send(finderToggled(true))}>
            {words.find} <kbd className="font-mono text-xs opacity-80">/</kbd>
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => send(newToggled(true))}>
            {words.newEntry} <kbd className="font-mono text-xs opacity-80">n</kbd>
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => send(saveToggled(true))}>
            {words.saveDrawingsAndTables}
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => send(keysToggled(true))}>
            {words.keys} <kbd className="font-mono text-xs opacity-80">?</kbd>
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() => send(themeChosen(dark ? 'daylight' : 'late-shop'))}
          >
            {dark ? words.themeToDaylight : words.themeToLateShop}
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={ITEM}
            onSelect={() => send(unitsChosen(units === 'metric' ? 'imperial' : 'metric'))}
          >
            {units === 'metric' ? words.unitsToMilesAndInches : words.unitsToKmAndMm}
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => send(mannerToggled(true))}>
            {words.numbersAndDays}
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => send(benchToggled(!bench))}>
            {bench ? words.benchModeOff : words.benchModeLargeScreen}
          </DropdownMenu.Item>
          <DropdownMenu.Separator className="my-1 h-px bg-bar-line" />
          <DropdownMenu.Item className={ITEM} asChild>
            <a href={world === 'demo' ? '/' : `${DEMO_PATH}/`}>
              {world === 'demo' ? words.leaveTheDemo : words.openTheDemo}
            </a>
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

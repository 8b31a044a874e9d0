import { lazy, Suspense, useEffect, useState, useSyncExternalStore } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { Outlet, useLocation, useNavigate, useNavigation } from 'react-router'
import { abilities } from '../session/abilities.ts'
import { useOpenLog } from '../session/log-context.ts'
import { runKey } from '../stations/wash/run/run-key.ts'
import { onTexts, recallText } from '../ui/local-memory.ts'
import { useNotice } from '../ui/parts/notices.tsx'
import {
  finderToggled,
  keysToggled,
  mannerToggled,
  newToggled,
  saveToggled,
  useScreen,
  useSend,
} from '../ui/screen-state.ts'
import { Header } from './Header.tsx'
import { CameBackNote } from './CameBackNote.tsx'
import { VersionNote } from './VersionNote.tsx'
import { useMishaps } from './use-mishaps.ts'
import { WorkingLine } from './WorkingLine.tsx'
import { STATION_LIST } from '../words/places.ts'
import { applyTheme } from './theme.ts'
import { words } from '../words/app/shell.ts'

const Finder = lazy(() => import('./Finder.tsx'))
const KeysSheet = lazy(() => import('./KeysSheet.tsx'))
const MannerSheet = lazy(() => import('./MannerSheet.tsx'))
const SaveSheet = lazy(() => import('./SaveSheet.tsx'))
const NewSheet = lazy(() => import('./NewSheet.tsx'))
const WashClock = lazy(() => import('../stations/wash/run/WashClock.tsx'))

/** Whoever stands on the mile strip does not type: the keys act there too. */
const ON_ROAD_TOO = { enableOnFormTags: ['slider'] } as const

function useShellKeys(openBikes: () => void) {
  const navigate = useNavigate()
  const send = useSend()
  const { undo, redo } = useOpenLog()
  const keys = STATION_LIST.map((station) => `g>${station.key}`)
  useHotkeys(
    keys,
    (_event, handler) => {
      const letter = handler.keys?.at(-1)
      const station = STATION_LIST.find(({ key }) => key === letter)
      if (station) void navigate(station.path)
    },
    { ...ON_ROAD_TOO, sequenceTimeoutMs: 1500 },
  )
  useHotkeys('b', openBikes, { ...ON_ROAD_TOO, preventDefault: true })
  useHotkeys(['/', 'mod+k'], () => void send(finderToggled(true)), {
    ...ON_ROAD_TOO,
    preventDefault: true,
    useKey: true,
  })
  useHotkeys('n', () => void send(newToggled(true)), { ...ON_ROAD_TOO, preventDefault: true })
  // A key held down is one press.
  useHotkeys('u', (event) => !event.repeat && void undo(), ON_ROAD_TOO)
  useHotkeys('shift+u', (event) => !event.repeat && void redo(), ON_ROAD_TOO)
  useHotkeys('?', () => void send(keysToggled(true)), { ...ON_ROAD_TOO, useKey: true })
}

/** Bench mode: large type, and the screen kept awake where the browser can. */
function useBench() {
  const bench = useScreen((state) => state.screen.bench)
  useEffect(() => {
    document.documentElement.dataset['bench'] = String(bench)
    if (!bench || !abilities.awake) return undefined
    let lock: WakeLockSentinel | undefined
    const hold = () => {
      // Refused when the battery is low, say: the screen may then sleep, and nothing else changes.
      if (document.visibilityState === 'visible')
        navigator.wakeLock.request('screen').then(
          (held) => (lock = held),
          () => undefined,
        )
    }
    hold()
    document.addEventListener('visibilitychange', hold)
    return () => {
      document.removeEventListener('visibilitychange', hold)
      void lock?.release()
    }
  }, [bench])
}

function useTheme() {
  const theme = useScreen((state) => state.screen.theme)
  useEffect(() => {
    const dark = matchMedia('(prefers-color-scheme: dark)')
    const apply = () => applyTheme(theme)
    apply()
    dark.addEventListener('change', apply)
    return () => dark.removeEventListener('change', apply)
  }, [theme])
}

/** Brings what an address points at (`#take`) into sight, and the reader's place with it. */
function useAnchor() {
  const { hash, pathname, key } = useLocation()
  useEffect(() => {
    const target = hash ? document.getElementById(hash.slice(1)) : null
    if (target) {
      target.scrollIntoView({ block: 'start' })
      target.focus({ preventScroll: true })
    } else window.scrollTo(0, 0)
  }, [hash, pathname, key])
}

/** Says so where a piece of the app could not be loaded: whatever asked for it will not come. */
function useMissingPieces() {
  const tell = useNotice()
  useEffect(() => {
    const say = () =>
      tell(words.aPartOfTheApp, {
        label: words.reload,
        run: () => location.reload(),
      })
    window.addEventListener('vite:preloadError', say)
    return () => window.removeEventListener('vite:preloadError', say)
  }, [tell])
}

/** What any station can call up, each fetched when it is first asked for. */
function Sheets() {
  const { finderShown, keysShown, mannerShown, newShown, saveShown } = useScreen((state) => state.screen)
  const send = useSend()
  return (
    <Suspense>
      {keysShown && <KeysSheet onClose={() => send(keysToggled(false))} />}
      {saveShown && <SaveSheet onClose={() => send(saveToggled(false))} />}
      {mannerShown && <MannerSheet onClose={() => send(mannerToggled(false))} />}
      {newShown && <NewSheet onClose={() => send(newToggled(false))} />}
      {finderShown && <Finder onClose={() => send(finderToggled(false))} />}
    </Suspense>
  )
}

/** The clocks of a wash that is going on; nothing is fetched where there is none. */
function WashGoingOn() {
  const { world } = useOpenLog()
  const isGoingOn = useSyncExternalStore(onTexts, () => recallText(runKey(world)) !== undefined)
  return isGoingOn ? (
    <Suspense>
      <WashClock />
    </Suspense>
  ) : null
}

/** The frame round every station: the bar, the keys, and the sheets that any station can call. */
export function Shell() {
  const [bikesOpen, setBikesOpen] = useState(false)
  const { garage } = useOpenLog()
  const navigation = useNavigation()
  const location = useLocation()
  // What is kept between two drawings was written in the manner of the first: all of it is drawn again.
  const written = useScreen(({ screen: { numbers, dates } }) => `${numbers} ${dates}`)
  useTheme()
  useBench()
  useShellKeys(() => {
    if (garage.bikes.size === 0) return
    // The menu hangs from the bar: from far down the page it would open out of sight.
    window.scrollTo(0, 0)
    setBikesOpen(true)
  })
  useAnchor()
  useMissingPieces()
  useMishaps()
  const station = STATION_LIST.find(({ path }) => path === location.pathname)
  useEffect(() => {
    document.title = station ? words.joltMile(station.name) : words.joltMile2
  }, [station])
  return (
    <>
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-jolt focus:p-3 focus:text-on-jolt"
      >
        {words.skipToTheStation}
      </a>
      <Header key={written} bikesOpen={bikesOpen} onBikesOpen={setBikesOpen} />
      <VersionNote />
      <CameBackNote />
      <WashGoingOn />
      <WorkingLine />
      <main
        id="main"
        tabIndex={-1}
        aria-busy={navigation.state !== 'idle'}
        className="mx-auto max-w-[80rem] px-9 pt-7 pb-16 outline-none max-md:px-4 max-md:pt-5 max-md:pb-28"
      >
        <Outlet key={written} />
      </main>
      <Sheets />
    </>
  )
}

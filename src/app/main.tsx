import { setNonce } from 'get-nonce'
import { StrictMode, type ComponentType } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { createBrowserRouter } from 'react-router'
import { RouterProvider } from 'react-router/dom'
import { Notices } from '../ui/parts/notices.tsx'
import '../ui/theme.css'
import { Broken, BrokenAbove, NotFound } from './Faults.tsx'
import { AnswersProvider } from '../session/AnswersProvider.tsx'
import { guardOpening, keepsFailing } from './opening-guard.ts'
import { OpenLogProvider } from './OpenLogProvider.tsx'
import { store } from './redux.ts'
import { SafePage } from './SafePage.tsx'
import { Shell } from './Shell.tsx'
import { STATION_LIST, type StationName } from '../words/places.ts'
import { SCREENS } from './stations.ts'
import { applyTheme, printInDaylight } from './theme.ts'
import { keepAppOffline } from './app-versions.ts'
import { basename, ledger } from './world.ts'
import { words } from '../words/app/main.ts'

// The sheets lock scrolling with a style of their own, which the server's policy admits by this mark alone.
const nonce = document.querySelector('meta[name="style-nonce"]')?.getAttribute('content')
if (nonce) setNonce(nonce)

// Before anything is drawn, so that a dark room is not lit up by a daylight page for a moment.
applyTheme(store.getState().screen.theme)
printInDaylight(() => store.getState().screen.theme)

guardOpening()
// The log is read while the rest of the app is still on its way.
ledger.open()
// Where it cannot be fetched the app works as long as the server is there.
if (import.meta.env.PROD) void keepAppOffline().catch(() => undefined)
/** A station's screen. The router shows nothing at all where it cannot be loaded: so it is one that says so. */
async function loaded(load: (typeof SCREENS)[StationName]): Promise<{ Component: ComponentType }> {
  try {
    return { Component: (await load()).default }
  } catch (error) {
    return {
      Component: () => {
        throw error
      },
    }
  }
}

const FAILING = words.theAppDidNot

const router = createBrowserRouter(
  [
    { path: '/safe', Component: () => <SafePage />, ErrorBoundary: BrokenAbove },
    {
      Component: () => (
        <Notices>
          <OpenLogProvider>
            <AnswersProvider>
              <Shell />
            </AnswersProvider>
          </OpenLogProvider>
        </Notices>
      ),
      ErrorBoundary: BrokenAbove,
      HydrateFallback: () => null,
      children: [
        ...STATION_LIST.map(({ path, room }) => ({
          path,
          ErrorBoundary: Broken,
          lazy: () => loaded(SCREENS[room]),
        })),
        { path: '*', Component: NotFound },
      ],
    },
  ],
  { basename },
)

const root = document.getElementById('root')
if (!root) throw new Error('The page has no root element.')
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      {keepsFailing() ? <SafePage why={FAILING} /> : <RouterProvider router={router} />}
    </Provider>
  </StrictMode>,
)

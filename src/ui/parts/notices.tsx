import {
  createContext,
  lazy,
  Suspense,
  useCallback,
  useContext,
  useEffect,
  useState,
  type ReactNode,
} from 'react'
import type { Notice, NoticeListProps } from './NoticeList.tsx'

const load = () => import('./NoticeList.tsx')
const NoticeList = lazy(() => load().catch(() => ({ default: PlainNotices })))

/** The list is fetched so long after the page is there, ms: by the time there is something to tell it is at hand. */
const FETCH_AFTER_MS = 1000

/** The notices where their list cannot be fetched: that very thing has to be said. */
function PlainNotices({ notices }: NoticeListProps) {
  return (
    <div role="alert" className="on-bar fixed right-4 bottom-4 z-60 bg-bar px-4 py-3 text-on-bar">
      {notices.map(({ id, text, undo }) => (
        <p key={id}>
          {text}{' '}
          {undo && (
            <button type="button" onClick={undo.run} className="font-semibold underline">
              {undo.label}
            </button>
          )}
        </p>
      ))}
    </div>
  )
}

type Tell = (text: string, undo?: Notice['undo']) => void

const NoticeContext = createContext<Tell>(() => undefined)

/** Tells the user that something was done, with a way back where there is one. */
export const useNotice = (): Tell => useContext(NoticeContext)

/** Shows notices above everything. */
export function Notices({ children }: { readonly children: ReactNode }) {
  const [notices, setNotices] = useState<readonly Notice[]>([])
  const [wasTold, setWasTold] = useState(false)
  const tell = useCallback<Tell>((text, undo) => {
    setWasTold(true)
    setNotices((held) => [...held.slice(-2), { id: (held.at(-1)?.id ?? 0) + 1, text, ...(undo && { undo }) }])
  }, [])
  const drop = useCallback(
    (id: number) => setNotices((held) => held.filter((notice) => notice.id !== id)),
    [],
  )
  useEffect(() => {
    // What cannot be fetched now is fetched when it is needed.
    const timer = setTimeout(() => void load().catch(() => undefined), FETCH_AFTER_MS)
    return () => clearTimeout(timer)
  }, [])
  return (
    <NoticeContext value={tell}>
      {children}
      {wasTold && (
        <Suspense>
          <NoticeList notices={notices} onDrop={drop} />
        </Suspense>
      )}
    </NoticeContext>
  )
}

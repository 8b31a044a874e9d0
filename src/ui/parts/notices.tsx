import { Toast } from 'radix-ui'
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react'

interface Notice {
  readonly id: number
  readonly text: string
  readonly undo?: { readonly label: string; readonly run: () => void }
}
type Tell = (text: string, undo?: Notice['undo']) => void

const NoticeContext = createContext<Tell>(() => undefined)

/** Tells the user that something was done, with a way back where there is one. */
export const useNotice = (): Tell => useContext(NoticeContext)

/** Shows notices above everything. Radix's toast, because it brings no styles of its own past our policy. */
export function Notices({ children }: { readonly children: ReactNode }) {
  const [notices, setNotices] = useState<readonly Notice[]>([])
  const tell = useCallback<Tell>((text, undo) => {
    setNotices((held) => [...held.slice(-2), { id: (held.at(-1)?.id ?? 0) + 1, text, ...(undo && { undo }) }])
  }, [])
  const drop = useCallback(
    (id: number) => setNotices((held) => held.filter((notice) => notice.id !== id)),
    [],
  )
  const value = useMemo(() => tell, [tell])
  return (
    <NoticeContext value={value}>
      <Toast.Provider swipeDirection="right" duration={8000} label="Notice">
        {children}
        {notices.map(({ id, text, undo }) => (
          <Toast.Root
            key={id}
            onOpenChange={(open) => !open && drop(id)}
            className="on-bar flex items-center gap-4 rounded-[3px] bg-bar px-4 py-3 text-on-bar shadow-lg"
          >
            <Toast.Title className="text-[0.95rem]">{text}</Toast.Title>
            {undo && (
              <Toast.Action
                altText={undo.label}
                onClick={undo.run}
                className="min-h-8 shrink-0 font-semibold text-jolt underline underline-offset-4"
              >
                {undo.label}
              </Toast.Action>
            )}
          </Toast.Root>
        ))}
        <Toast.Viewport className="fixed right-4 bottom-4 z-60 flex w-[min(26rem,92vw)] flex-col gap-2 max-sm:bottom-20" />
      </Toast.Provider>
    </NoticeContext>
  )
}

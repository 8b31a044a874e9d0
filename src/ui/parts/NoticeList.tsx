import { Toast } from 'radix-ui'
import { words } from '../../words/ui/parts/notice-list.ts'

/** Something that was done, and the way back where there is one. */
export interface Notice {
  readonly id: number
  readonly text: string
  readonly undo?: { readonly label: string; readonly run: () => void }
}

export interface NoticeListProps {
  readonly notices: readonly Notice[]
  readonly onDrop: (id: number) => void
}

/** The notices that stand. Radix's toast, because it brings no styles of its own past our policy. */
export default function NoticeList({ notices, onDrop }: NoticeListProps) {
  return (
    <Toast.Provider swipeDirection="right" duration={8000} label={words.notice}>
      {notices.map(({ id, text, undo }) => (
        <Toast.Root
          key={id}
          onOpenChange={(open) => !open && onDrop(id)}
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
  )
}

import clsx from 'clsx'
import { X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'
import { words } from '../../words/ui/parts/sheet.ts'

interface Props {
  readonly open: boolean
  readonly onClose: () => void
  readonly title: string
  readonly note?: ReactNode
  /** Room for a picture beside what is said of it. */
  readonly wide?: boolean
  readonly children: ReactNode
}

/** A sheet laid over the station: from below on a phone, in the middle on a wide screen. */
export function Sheet({ open, onClose, title, note, wide, children }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/50" />
        <Dialog.Content
          className={clsx(
            wide ? 'w-[min(64rem,94vw)]' : 'w-[min(34rem,94vw)]',
            'fixed top-1/2 left-1/2 z-50 max-h-[90dvh] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border-t-4 border-petrol bg-paper p-6 max-sm:top-auto max-sm:bottom-0 max-sm:w-full max-sm:translate-y-0 max-sm:p-4',
          )}
          {...(!note && { 'aria-describedby': undefined })}
        >
          <Dialog.Title className="pr-10 text-xl font-semibold">{title}</Dialog.Title>
          {note && <Dialog.Description className="mt-1 pr-10 text-sm text-steel">{note}</Dialog.Description>}
          <div className="mt-4">{children}</div>
          {/* Last, so that a sheet opens with the first thing to do in hand, not with the way out. */}
          <Dialog.Close
            className="no-print absolute top-4 right-4 grid size-11 place-items-center"
            aria-label={words.close}
          >
            <X aria-hidden="true" />
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

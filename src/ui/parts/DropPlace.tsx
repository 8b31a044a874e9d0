import { FileUp } from 'lucide-react'
import { useRef, useState, type DragEvent, type ReactNode } from 'react'
import { Button } from './Button.tsx'

interface Props {
  /** What can be dropped here, in a sentence. */
  readonly children: ReactNode
  readonly note: ReactNode
  /** The files that are offered, as `.gpx,.csv`. */
  readonly accept: string
  /** What the files are called to who cannot see the place. */
  readonly label: string
  readonly button: string
  readonly isSingle?: boolean
  readonly onFiles: (files: readonly File[]) => void
}

/** Where files are dropped, or chosen. */
export function DropPlace({ children, note, accept, label, button, isSingle = false, onFiles }: Props) {
  const picker = useRef<HTMLInputElement>(null)
  const [over, setOver] = useState(false)
  const drop = (event: DragEvent) => {
    event.preventDefault()
    setOver(false)
    onFiles([...event.dataTransfer.files])
  }
  return (
    <div
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      className={`flex flex-wrap items-center gap-4 border-2 border-dashed p-5 ${over ? 'border-petrol bg-petrol/10' : 'border-hairline'}`}
    >
      <FileUp aria-hidden="true" className="size-7 shrink-0 text-steel max-sm:hidden" />
      <p className="min-w-40 flex-1">
        {children}
        <span className="block text-sm text-steel">{note}</span>
      </p>
      <Button look="firm" onClick={() => picker.current?.click()}>
        {button}
      </Button>
      <input
        ref={picker}
        type="file"
        accept={accept}
        multiple={!isSingle}
        className="sr-only"
        tabIndex={-1}
        aria-label={label}
        onChange={(event) => {
          onFiles([...(event.target.files ?? [])])
          event.target.value = ''
        }}
      />
    </div>
  )
}

import { FileUp } from 'lucide-react'
import { useRef, useState, type DragEvent } from 'react'
import { Button } from '../../ui/parts/Button.tsx'

/** Where ride files are dropped, or chosen. */
export function DropPlace({ onFiles }: { readonly onFiles: (files: readonly File[]) => void }) {
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
        Drop ride files here, several at once.
        <span className="block text-sm text-steel">
          GPX, TCX, FIT, a CSV table, or a ZIP of them. They are read in this browser and go nowhere else.
        </span>
      </p>
      <Button look="firm" onClick={() => picker.current?.click()}>
        Choose files
      </Button>
      <input
        ref={picker}
        type="file"
        accept=".gpx,.tcx,.fit,.csv,.zip,.gz"
        multiple
        className="sr-only"
        tabIndex={-1}
        aria-label="Ride files"
        onChange={(event) => {
          onFiles([...(event.target.files ?? [])])
          event.target.value = ''
        }}
      />
    </div>
  )
}

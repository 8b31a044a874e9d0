import { Camera, ImageUp } from 'lucide-react'
import { useId } from 'react'
import { buttonLook } from '../parts/Button.tsx'

interface PickProps {
  readonly label: string
  readonly isCamera: boolean
  readonly onPicked: (file: File) => void
}

/** A button that takes a picture or lets one be chosen. */
export function PickFile({ label, isCamera, onPicked }: PickProps) {
  const id = useId()
  const Icon = isCamera ? Camera : ImageUp
  return (
    <span className="relative inline-flex has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-petrol">
      <label htmlFor={id} className={buttonLook('plain')}>
        <Icon aria-hidden="true" className="size-5" />
        {label}
      </label>
      <input
        id={id}
        type="file"
        accept="image/*"
        {...(isCamera && { capture: 'environment' as const })}
        className="absolute inset-0 size-full cursor-pointer opacity-0"
        onChange={(event) => {
          const [file] = event.target.files ?? []
          // The same file can be chosen twice.
          event.target.value = ''
          if (file) onPicked(file)
        }}
      />
    </span>
  )
}

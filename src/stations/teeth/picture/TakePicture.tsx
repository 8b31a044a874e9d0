import { Camera, ImageUp } from 'lucide-react'
import { useId, useState } from 'react'
import type { ToothState } from '../../../core/strategy/facts/tooth-state.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { demoPictureAt } from '../../../workers/demo-world.ts'
import { Button, buttonLook } from '../../../ui/parts/Button.tsx'
import { PictureSheet } from './PictureSheet.tsx'
import { useMeasuring } from './use-measuring.ts'

/** Cogs of which made-up photos ship with the demo, by their tooth counts. */
const MADE_UP = [14, 15]

interface PickProps {
  readonly label: string
  readonly isCamera: boolean
  readonly onPicked: (file: File) => void
}

function PickFile({ label, isCamera, onPicked }: PickProps) {
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

/** A picture of one sprocket, taken or chosen, and measured. */
export function TakePicture({ state }: { readonly state: ToothState }) {
  const { state: measuring, open, measure, stop } = useMeasuring(state.sprocket.teeth)
  const { world } = useOpenLog()
  const [isOpen, setOpen] = useState(false)
  const pick = (file: File): void => {
    setOpen(true)
    void open(file)
  }
  return (
    <div className="border-t border-hairline pt-3">
      <h3 className="text-[0.98rem] font-semibold">By a picture</h3>
      <p className="mt-1 text-sm text-steel">
        Straight over it, all of it in, even light, no chain on it. It is measured here, in the browser.
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <span className="hidden pointer-coarse:contents">
          <PickFile label="Take a picture" isCamera onPicked={pick} />
        </span>
        <PickFile label="Choose a picture" isCamera={false} onPicked={pick} />
        {world === 'demo' && MADE_UP.includes(state.sprocket.teeth) && (
          <Button
            onClick={() => {
              setOpen(true)
              void fetch(demoPictureAt(`photo-cog-${state.sprocket.teeth}`)).then(
                async (answer) => open(await answer.blob()),
                () => undefined,
              )
            }}
          >
            Use a made-up picture
          </Button>
        )}
      </div>
      {isOpen && (
        <PictureSheet
          state={state}
          measuring={measuring}
          measure={(picture, near) => void measure(picture, near)}
          stop={stop}
          onClose={() => {
            stop()
            setOpen(false)
          }}
        />
      )}
    </div>
  )
}

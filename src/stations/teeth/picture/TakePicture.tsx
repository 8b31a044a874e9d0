import { useState } from 'react'
import type { ToothState } from '../../../core/strategy/facts/tooth-state.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { demoPictureAt } from '../../../workers/demo-world.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { PickFile } from '../../../ui/pictures/PickFile.tsx'
import { PictureSheet } from './PictureSheet.tsx'
import { useMeasuring } from './use-measuring.ts'
import { words } from '../../../words/stations/teeth/picture/take-picture.ts'

/** Cogs of which made-up photos ship with the demo, by their tooth counts. */
const MADE_UP = [14, 15]

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
      <h3 className="text-[0.98rem] font-semibold">{words.byAPicture}</h3>
      <p className="mt-1 text-sm text-steel">{words.straightOverItAll}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <span className="hidden pointer-coarse:contents">
          <PickFile label={words.takeAPicture} isCamera onPicked={pick} />
        </span>
        <PickFile label={words.chooseAPicture} isCamera={false} onPicked={pick} />
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
            {words.useAMadeUp}
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

import { useState } from 'react'
import type { PictureEntry } from '../../../core/log/kinds/picture.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { usePicture } from '../../../session/use-picture.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { SelectField } from '../../../ui/parts/fields.tsx'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import { sayDay } from '../../../words/numbers.ts'
import { sayMm } from './say-picture.ts'
import { words } from '../../../words/stations/teeth/picture/compare-pictures.ts'

interface Props {
  readonly name: string
  /** With kept pictures, oldest first. */
  readonly entries: readonly PictureEntry[]
}

/** Kept pictures of one sprocket, two at a time, one laid over the other at one scale. */
export function ComparePictures({ name, entries }: Props) {
  const { now, record, pictures } = useOpenLog()
  const [older, setOlder] = useState<string>()
  const [newer, setNewer] = useState<string>()
  const [share, setShare] = useState(50)
  const last = entries.at(-1)
  const right = entries.find(({ id }) => id === newer) ?? last
  const left = entries.find(({ id }) => id === older) ?? entries[0]
  const isPair = left !== undefined && right !== undefined && left.id !== right.id
  const [leftAt, rightAt] = [usePicture(left?.picture), usePicture(right?.picture)]
  const drop = useInTurn(async () => {
    if (right?.picture === undefined) return
    const { picture, id, format: _format, action: _action, ...rest } = right
    const written = await record([{ ...rest, supersedes: id }], words.thePictureIsDeleted)
    if (written) await pictures.drop(picture)
  })
  if (!right) return null
  const options = Object.fromEntries(entries.map(({ id, at }) => [id, sayDay(at, now)]))
  return (
    <div className="mt-3">
      {isPair && (
        <div className="grid grid-cols-2 gap-3">
          <SelectField label={words.left} value={left.id} onPick={setOlder} options={options} />
          <SelectField label={words.right} value={right.id} onPick={setNewer} options={options} />
        </div>
      )}
      <div className="relative mt-2 aspect-square overflow-hidden bg-ink/5">
        {rightAt === 'missing' ? (
          <p className="p-4 text-sm text-steel">{words.thePictureIsNot}</p>
        ) : (
          rightAt && (
            <img
              src={rightAt}
              alt={`${name}, ${sayDay(right.at, now)}`}
              className="absolute inset-0 size-full"
            />
          )
        )}
        {isPair && leftAt && leftAt !== 'missing' && (
          <img
            src={leftAt}
            alt={`${name}, ${sayDay(left.at, now)}`}
            className="absolute inset-0 size-full"
            style={{ clipPath: `inset(0 ${100 - share}% 0 0)` }}
          />
        )}
        {isPair && (
          <span
            aria-hidden="true"
            className="absolute inset-y-0 w-0.5 bg-paper"
            style={{ left: `${share}%` }}
          />
        )}
      </div>
      {isPair && (
        <label className="mt-1 grid text-sm font-medium">
          {words.fromTheLeftPicture}
          <input
            type="range"
            min={0}
            max={100}
            value={share}
            onChange={(event) => setShare(Number(event.target.value))}
            aria-valuetext={words.ofTheLeftOne(share)}
            className="h-8 w-full accent-petrol"
          />
        </label>
      )}
      <p className="text-sm text-steel">
        {isPair && words.leftRight(sayMm(left.excessMm))}
        {words.widerThanNew(sayMm(right.excessMm))}
      </p>
      <Button look="link" onClick={drop}>
        {words.deleteThePictureForGood(isPair ? words.onTheRight : '')}
      </Button>
    </div>
  )
}

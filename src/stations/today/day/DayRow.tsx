import { useNavigate } from 'react-router'
import { useOpenLog } from '../../../session/log-context.ts'
import { WearMark } from '../../../ui/glyphs/ToothGlyph.tsx'
import { Button } from '../../../ui/parts/Button.tsx'
import { bikeChosen, useSend, useUnits } from '../../../ui/screen-state.ts'
import { sayAction, sayReason } from '../../../words/advice.ts'
import { sayKm } from '../../../words/numbers.ts'
import { stepFor } from '../step-for.ts'
import type { ListedBike } from './use-day-list.ts'
import { words } from '../../../words/stations/today/day/day-row.ts'

interface Props {
  readonly bike: ListedBike
  readonly isChosen: boolean
  readonly onChoose: (isChosen: boolean) => void
}

/** A bike in a long list: what it needs and why, in one row, and a tick to do something to several. */
export function DayRow({ bike: { entry, km, verdict }, isChosen, onChoose }: Props) {
  const { garage } = useOpenLog()
  const units = useUnits()
  const send = useSend()
  const navigate = useNavigate()
  const [why] = verdict?.reasons ?? []
  const step = verdict && stepFor(verdict)
  const place = [entry.owner, entry.rack].filter((one) => one !== undefined).join(' · ')
  return (
    <div className="grid grid-cols-[2.75rem_minmax(0,11rem)_6rem_minmax(0,1fr)_8rem] items-center gap-x-3 border-t border-hairline/70 py-1.5 max-md:grid-cols-[2.75rem_minmax(0,1fr)_auto]">
      <label className="grid min-h-11 place-items-center">
        <input
          type="checkbox"
          className="size-5 accent-petrol"
          checked={isChosen}
          onChange={({ target }) => onChoose(target.checked)}
          aria-label={words.choose(entry.name)}
        />
      </label>
      <div className="min-w-0">
        <p className="truncate font-semibold">{entry.name}</p>
        <p className="truncate text-sm text-steel">{place === '' ? sayKm(km, units) : place}</p>
      </div>
      <div className="max-md:justify-self-end">
        {verdict ? <WearMark word={verdict.word} /> : <span className="text-steel">…</span>}
      </div>
      <div className="min-w-0 max-md:col-span-2 max-md:col-start-2">
        <p className="truncate">{verdict ? sayAction(verdict, units) : words.workingItOut}</p>
        {why && <p className="truncate text-sm text-steel">{sayReason(why, units, garage.tools)}</p>}
      </div>
      {step ? (
        <Button
          look="link"
          className="justify-self-end max-md:col-start-2 max-md:justify-self-start"
          aria-label={`${step.label}: ${entry.name}`}
          onClick={() => {
            send(bikeChosen(entry.bike))
            void navigate(step.path)
          }}
        >
          {step.label}
        </Button>
      ) : (
        <span />
      )}
    </div>
  )
}

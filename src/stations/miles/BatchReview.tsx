import { useState } from 'react'
import type { RideDraft } from '../../core/exposure/admit-rides.ts'
import { quarterOf, usualAt } from '../../core/exposure/conditions.ts'
import { totalKm } from '../../core/exposure/distance.ts'
import type { BikeEntry } from '../../core/log/entries.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField } from '../../ui/parts/fields.tsx'
import { saveBytes } from '../../ui/save-file.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../ui/words/names.ts'
import { sayCount, sayDay, sayKm } from '../../ui/words/numbers.ts'
import { remarkList, withSaid, type Remark, type Said, type SortedBatch } from './batch.ts'
import { useOnce } from '../../ui/use-once.ts'

const SHOWN = 8

function Remarks({ remarks, title }: { readonly remarks: readonly Remark[]; readonly title: string }) {
  if (remarks.length === 0) return null
  return (
    <div>
      <h3 className="text-sm font-semibold text-rust">{title}</h3>
      <ul className="mt-1 divide-y divide-hairline border-y border-hairline text-[0.95rem]">
        {remarks.slice(0, SHOWN).map(({ file, fault }, i) => (
          <li key={i} className="py-2 break-words">
            <strong>{file}</strong>
            <span className="block text-steel">{fault}</span>
          </li>
        ))}
      </ul>
      {remarks.length > SHOWN && (
        <p className="mt-1 text-sm text-steel">
          And {remarks.length - SHOWN} more, all in the list that can be saved.
        </p>
      )}
    </div>
  )
}

function Fresh({ drafts }: { readonly drafts: readonly RideDraft[] }) {
  const { now } = useOpenLog()
  const units = useUnits()
  return (
    <>
      <ul className="divide-y divide-hairline border-y border-hairline text-[0.95rem]">
        {drafts.slice(0, SHOWN).map((draft, i) => (
          <li key={i} className="flex justify-between gap-4 py-2">
            <span className="min-w-0 truncate">
              {sayDay(draft.at, now)}
              <span className="block truncate text-sm text-steel">
                {draft.source?.file}
                {draft.gears && ', gears told by cadence'}
              </span>
            </span>
            <span className="shrink-0">{sayKm(draft.km, units)}</span>
          </li>
        ))}
      </ul>
      {drafts.length > SHOWN && (
        <p className="text-sm text-steel">
          And {drafts.length - SHOWN} more, {sayKm(totalKm(drafts.slice(SHOWN)), units)}.
        </p>
      )}
    </>
  )
}

interface Props {
  readonly bike: BikeEntry
  readonly batch: SortedBatch
  readonly onDone: (said: string) => void
}

/** What was found in the files, before anything goes in. */
export function BatchReview({ bike, batch, onDone }: Props) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const [said, setSaid] = useState<Said>('later')
  const count = sayCount(batch.fresh.length, 'ride')
  const km = totalKm(batch.fresh)
  const remarks = [...batch.broken, ...batch.known, ...batch.richer]
  const [add, adding] = useOnce(async () => {
    const saved = await record(
      withSaid(batch.fresh, said, bike),
      `${count} added to ${bike.name}, ${sayKm(km, units)}.`,
    )
    if (saved)
      onDone(
        saved.length > 0
          ? `${sayCount(saved.length, 'ride')} added.`
          : 'All of them were in the log already.',
      )
  })
  const usual = CONDITION_NAMES[usualAt(bike, batch.fresh[0]?.at ?? now)]
  const oneQuarter = new Set(batch.fresh.map(({ at }) => quarterOf(at))).size === 1
  return (
    <div className="flex flex-col gap-4">
      {batch.fresh.length > 0 && <Fresh drafts={batch.fresh} />}
      {batch.strayPoints > 0 && (
        <p className="text-sm text-steel">
          {sayCount(batch.strayPoints, 'stray point')} left out: nobody rides that fast.
        </p>
      )}
      <Remarks title="Takes the place of a poorer recording" remarks={batch.richer} />
      <Remarks title="Already in the log, not added again" remarks={batch.known} />
      <Remarks title="Could not be read" remarks={batch.broken} />
      {remarks.length > 0 && (
        <Button
          look="link"
          className="self-start"
          onClick={() => saveBytes(`${bike.name} rides left out.csv`, remarkList(remarks), 'text/csv')}
        >
          Save this list
        </Button>
      )}
      <div className="flex flex-wrap items-end gap-3">
        {batch.fresh.length > 0 ? (
          <>
            <SelectField<Said>
              label="Ridden in"
              options={{
                later: 'not said yet: sort later',
                usual: oneQuarter ? `the usual: ${usual}` : 'the usual of each season',
                ...CONDITION_NAMES,
              }}
              value={said}
              onPick={setSaid}
              className="min-w-52"
            />
            <Button look="firm" disabled={adding} onClick={add}>
              {adding ? 'Adding…' : `Add ${count}, ${sayKm(km, units)}`}
            </Button>
            <Button onClick={() => onDone('Nothing was added.')}>Leave them</Button>
          </>
        ) : (
          <Button onClick={() => onDone('Nothing was added.')}>Go back</Button>
        )}
      </div>
    </div>
  )
}

import { FileUp } from 'lucide-react'
import { useRef, useState, type DragEvent } from 'react'
import type { Condition } from '../../core/exposure/conditions.ts'
import type { BikeReport } from '../../core/strategy/bike-report.ts'
import { useOpenLog } from '../../store/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { SelectField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../ui/words/names.ts'
import { sayCount, sayDay, sayKm } from '../../ui/words/numbers.ts'
import { readRides, type Reading, type RideFile } from '../../workers/read-rides.ts'
import { knownPrints, sortBatch, type SortedBatch } from './batch.ts'
import { RideByHand } from './RideByHand.tsx'

type Step =
  | { readonly at: 'idle'; readonly said?: string }
  | { readonly at: 'reading'; readonly done: number; readonly of: number; readonly reading: Reading }
  | { readonly at: 'review'; readonly batch: SortedBatch }

function DropPlace({ onFiles }: { readonly onFiles: (files: readonly File[]) => void }) {
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
        Drop GPX files here, several at once.
        <span className="block text-sm text-steel">They are read in this browser and go nowhere else.</span>
      </p>
      <Button look="firm" onClick={() => picker.current?.click()}>
        Choose files
      </Button>
      <input
        ref={picker}
        type="file"
        accept=".gpx"
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

function Faults({
  files,
  title,
}: {
  readonly files: readonly { file: string; fault: string }[]
  readonly title: string
}) {
  if (files.length === 0) return null
  return (
    <div>
      <h3 className="text-sm font-semibold text-rust">{title}</h3>
      <ul className="mt-1 divide-y divide-hairline border-y border-hairline text-[0.95rem]">
        {files.map(({ file, fault }, i) => (
          <li key={i} className="py-2">
            <strong>{file}</strong>
            <span className="block text-steel">{fault}</span>
          </li>
        ))}
      </ul>
    </div>
  )
}

interface ReviewProps {
  readonly report: BikeReport
  readonly batch: SortedBatch
  readonly onDone: (said: string) => void
}

function Review({ report, batch, onDone }: ReviewProps) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const { entry } = report.bike
  const [condition, setCondition] = useState<Condition>(entry.usual)
  const km = batch.fresh.reduce((sum, { ride }) => sum + (ride.deviceKm ?? ride.km), 0)
  const add = async () => {
    const saved = await record(
      batch.fresh.map(({ file, ride, print }) => ({
        kind: 'ride' as const,
        at: ride.startedAt,
        bike: entry.bike,
        km: ride.deviceKm ?? ride.km,
        trackKm: ride.km,
        movingSeconds: ride.movingSeconds,
        condition,
        source: { file, print },
      })),
      `${sayCount(batch.fresh.length, 'ride')} added to ${entry.name}, ${sayKm(km, units)}.`,
    )
    if (saved) onDone(`${sayCount(batch.fresh.length, 'ride')} added.`)
  }
  return (
    <div className="flex flex-col gap-4">
      {batch.fresh.length > 0 && (
        <ul className="divide-y divide-hairline border-y border-hairline text-[0.95rem]">
          {batch.fresh.map(({ file, ride }, i) => (
            <li key={i} className="flex justify-between gap-4 py-2">
              <span className="min-w-0 truncate">
                {ride.name ?? file}
                <span className="block text-sm text-steel">
                  {sayDay(ride.startedAt, now)}
                  {ride.dropped > 0 && `, ${sayCount(ride.dropped, 'stray point')} left out`}
                </span>
              </span>
              <span className="shrink-0">{sayKm(ride.deviceKm ?? ride.km, units)}</span>
            </li>
          ))}
        </ul>
      )}
      <Faults title="Already in the log, not added again" files={batch.known} />
      <Faults title="Could not be read" files={batch.broken} />
      <div className="flex flex-wrap items-end gap-3">
        {batch.fresh.length > 0 ? (
          <>
            <SelectField
              label="Ridden in"
              options={CONDITION_NAMES}
              value={condition}
              onPick={setCondition}
              className="min-w-52"
            />
            <Button look="firm" onClick={() => void add()}>
              Add {sayCount(batch.fresh.length, 'ride')}, {sayKm(km, units)}
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

/** The way rides come in: recorded files, or one by hand. */
export function AddRides({ report }: { readonly report: BikeReport }) {
  const { entries } = useOpenLog()
  const [step, setStep] = useState<Step>({ at: 'idle' })
  const start = (files: readonly File[]) => {
    if (files.length === 0) return
    const reading = readRides(files, (done) =>
      setStep((held) => (held.at === 'reading' ? { ...held, done } : held)),
    )
    setStep({ at: 'reading', done: 0, of: files.length, reading })
    const finish = (result: readonly RideFile[] | 'cancelled') =>
      setStep(
        result === 'cancelled'
          ? { at: 'idle', said: 'Cancelled. Nothing was added.' }
          : { at: 'review', batch: sortBatch(result, knownPrints(entries)) },
      )
    reading.result.then(finish, () =>
      setStep({
        at: 'idle',
        said: 'The files could not be read. Nothing was added; try them again, fewer at once.',
      }),
    )
  }
  return (
    <WorkSection id="add" title={`Add rides to ${report.bike.entry.name}`}>
      {step.at === 'idle' && <DropPlace onFiles={start} />}
      <p role="status" className="text-[0.95rem] empty:hidden">
        {step.at === 'idle' ? step.said : ''}
      </p>
      {step.at === 'reading' && (
        <div className="flex items-center gap-4">
          <label className="flex-1 text-[0.95rem]">
            Reading file {Math.min(step.done + 1, step.of)} of {step.of}
            <progress className="mt-1 block h-2 w-full accent-petrol" max={step.of} value={step.done} />
          </label>
          <Button onClick={step.reading.cancel}>Cancel</Button>
        </div>
      )}
      {step.at === 'review' && (
        <Review report={report} batch={step.batch} onDone={(said) => setStep({ at: 'idle', said })} />
      )}
      {step.at === 'idle' && <RideByHand report={report} />}
    </WorkSection>
  )
}

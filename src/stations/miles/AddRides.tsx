import { useState } from 'react'
import type { RideDraft } from '../../core/exposure/admit-rides.ts'
import type { ChainAddition } from '../../core/exposure/rides-add.ts'
import { sprocketTeeth } from '../../core/exposure/gear-mix.ts'
import type { BikeId } from '../../core/log/entry.ts'
import type { RideSetup } from '../../core/exposure/ride-gears.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { readCsvTrack } from '../../formats/rides/csv-track.ts'
import { RideFileError } from '../../formats/rides/ride-file-error.ts'
import type { DateOrder } from '../../formats/rides/table-cells.ts'
import { tablePrint, type ReadTable, type TableMapping } from '../../formats/rides/table-rides.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { readRide } from '../../workers/read-ride.ts'
import { readRides, type Progress, type Reading, type RideFile } from '../../workers/read-rides.ts'
import { liveRides, offeredRows, sortBatch, type OfferedRow, type SortedBatch } from './batch.ts'
import { BatchReview } from './BatchReview.tsx'
import { DropPlace } from '../../ui/parts/DropPlace.tsx'
import { Odometer } from './Odometer.tsx'
import { Receipt } from './Receipt.tsx'
import { RideByHand } from './RideByHand.tsx'
import { RideService } from './RideService.tsx'
import { TableColumns } from './TableColumns.tsx'
import { TrackDates } from './TrackDates.tsx'
import { words } from '../../words/stations/miles/add-rides.ts'

interface Held {
  readonly files: readonly RideFile[]
  readonly rows: readonly OfferedRow[]
  /** Rows of tables that could not be read. */
  readonly faults: readonly RideFile[]
}
type Table = Extract<RideFile, { form: 'table' }>

/** What the last import put in, and what it added to the chains. */
interface Added {
  readonly drafts: readonly RideDraft[]
  readonly additions: readonly ChainAddition[]
}

type Step =
  | { readonly at: 'idle'; readonly said?: string; readonly added?: Added }
  | { readonly at: 'reading'; readonly progress: Progress; readonly reading: Reading }
  | {
      readonly at: 'columns'
      readonly held: Held
      readonly table: Table
      readonly rest: readonly Table[]
      readonly remembered: unknown
    }
  | { readonly at: 'review'; readonly batch: SortedBatch }

const mappingKey = (table: Table): string => `columns ${tablePrint(table.table)}`

/** What was held, with what a table told. */
function withTable(held: Held, bike: BikeId, { file }: Table, { rides, faults }: ReadTable): Held {
  const bad = faults.map(({ line, fault }) => ({
    file: words.line(file, line),
    form: 'fault' as const,
    fault,
  }))
  return {
    ...held,
    rows: [...held.rows, ...offeredRows(bike, rides, file)],
    faults: [...held.faults, ...bad],
  }
}

interface TableStepProps {
  readonly table: Table
  readonly remembered: unknown
  readonly onTrack: (dates: DateOrder) => void
  readonly onRides: (mapping: TableMapping, read: ReadTable) => void
  readonly onLeave: () => void
}

/** What is still to be said of a table, of points or of rides. */
const TableStep = ({ table, remembered, onTrack, onRides, onLeave }: TableStepProps) =>
  table.isTrack ? (
    <TrackDates
      file={table.file}
      table={table.table}
      remembered={remembered as DateOrder | undefined}
      onRead={onTrack}
      onLeave={onLeave}
    />
  ) : (
    <TableColumns
      file={table.file}
      table={table.table}
      remembered={remembered as TableMapping | undefined}
      onRead={onRides}
      onLeave={onLeave}
    />
  )

/** The way rides come in: recorded files, a table, one by hand, the bike's computer, or a service. */
export function AddRides({ report }: { readonly report: BikeReport }) {
  const { entries, kept, garage } = useOpenLog()
  const [step, setStep] = useState<Step>({ at: 'idle' })
  const { entry } = report.bike

  /** Goes on to the next table, or, when none is left, to the review. */
  const goOn = async (held: Held, tables: readonly Table[]) => {
    const [table, ...rest] = tables
    if (table) {
      setStep({ at: 'columns', held, table, rest, remembered: await kept.read(mappingKey(table)) })
      return
    }
    const files = [...held.files.filter((file) => file.form !== 'table'), ...held.faults]
    setStep({ at: 'review', batch: sortBatch(entry.bike, files, held.rows, liveRides(entries)) })
  }

  const { motor, circumferenceMm, massKg, motorShare } = entry
  const setup: RideSetup = {
    ...sprocketTeeth(garage, entry.bike),
    motor,
    circumferenceMm,
    massKg,
    motorShare,
  }

  /** Reads a table of points, once the order of its dates is said. */
  const readTrack = (table: Table, dates: DateOrder): readonly RideFile[] => {
    try {
      return readCsvTrack(table.table, dates).map((ride) => readRide(table.file, ride, setup))
    } catch (error) {
      if (!(error instanceof RideFileError)) throw error
      return [{ file: table.file, form: 'fault', fault: error.message }]
    }
  }

  const start = (files: readonly File[]) => {
    if (files.length === 0) return
    const reading = readRides(files, setup, (progress) =>
      setStep((now) => (now.at === 'reading' ? { ...now, progress } : now)),
    )
    setStep({ at: 'reading', progress: { done: 0, of: files.length }, reading })
    const failed = () =>
      setStep({
        at: 'idle',
        said: words.theFilesCouldNot,
      })
    reading.result
      .then((result) =>
        result === 'cancelled'
          ? setStep({ at: 'idle', said: words.cancelledNothingWasAdded })
          : goOn(
              { files: result, rows: [], faults: [] },
              result.filter((file) => file.form === 'table'),
            ),
      )
      .catch(failed)
  }

  return (
    <WorkSection id="add" title={words.addRidesTo(entry.name)}>
      {step.at === 'idle' && step.added && (
        <Receipt {...step.added} onClose={() => setStep({ at: 'idle' })} />
      )}
      {step.at === 'idle' && (
        <DropPlace
          note={words.gpxTcxFitACsv}
          accept=".gpx,.tcx,.fit,.csv,.zip,.gz"
          label={words.rideFiles}
          button={words.chooseFiles}
          onFiles={start}
        >
          {words.dropRideFilesHere}
        </DropPlace>
      )}
      <p role="status" className="text-[0.95rem] empty:hidden">
        {step.at === 'idle' ? step.said : ''}
      </p>
      {step.at === 'reading' && (
        <div className="flex items-center gap-4">
          <label className="flex-1 text-[0.95rem]">
            {words.readingFileOf(Math.min(step.progress.done + 1, step.progress.of), step.progress.of)}
            <progress
              className="mt-1 block h-2 w-full accent-petrol"
              max={step.progress.of}
              value={step.progress.done}
            />
          </label>
          <Button onClick={step.reading.cancel}>{words.cancel}</Button>
        </div>
      )}
      {step.at === 'columns' && (
        <TableStep
          key={step.table.file}
          table={step.table}
          remembered={step.remembered}
          onTrack={(dates) => {
            const { held, table, rest } = step
            void kept.keep(mappingKey(table), dates)
            void goOn({ ...held, files: [...held.files, ...readTrack(table, dates)] }, rest)
          }}
          onRides={(mapping, read) => {
            const { held, table, rest } = step
            void kept.keep(mappingKey(table), mapping)
            void goOn(withTable(held, entry.bike, table, read), rest)
          }}
          onLeave={() => void goOn(step.held, step.rest)}
        />
      )}
      {step.at === 'review' && (
        <BatchReview
          bike={entry}
          batch={step.batch}
          onAdded={(drafts, additions) => setStep({ at: 'idle', added: { drafts, additions } })}
          onLeave={(said) => setStep({ at: 'idle', said })}
        />
      )}
      {step.at === 'idle' && (
        <>
          <RideByHand report={report} />
          <Odometer report={report} />
          <RideService bike={entry} />
        </>
      )}
    </WorkSection>
  )
}

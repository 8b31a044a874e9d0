import { useState } from 'react'
import type { RideDraft } from '../../core/exposure/admit-rides.ts'
import { sprocketTeeth } from '../../core/exposure/gear-mix.ts'
import type { RideSetup } from '../../core/exposure/ride-gears.ts'
import type { BikeReport } from '../../core/strategy/bike-report.ts'
import { tablePrint, type TableMapping } from '../../formats/rides/table-rides.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { readRides, type Progress, type Reading, type RideFile } from '../../workers/read-rides.ts'
import { draftOfRow, liveRides, sortBatch, type SortedBatch } from './batch.ts'
import { BatchReview } from './BatchReview.tsx'
import { DropPlace } from './DropPlace.tsx'
import { Odometer } from './Odometer.tsx'
import { RideByHand } from './RideByHand.tsx'
import { RideService } from './RideService.tsx'
import { TableColumns } from './TableColumns.tsx'

interface Held {
  readonly files: readonly RideFile[]
  readonly rows: readonly RideDraft[]
  /** Rows of tables that could not be read. */
  readonly faults: readonly RideFile[]
}
type Table = Extract<RideFile, { form: 'table' }>

type Step =
  | { readonly at: 'idle'; readonly said?: string }
  | { readonly at: 'reading'; readonly progress: Progress; readonly reading: Reading }
  | {
      readonly at: 'columns'
      readonly held: Held
      readonly table: Table
      readonly rest: readonly Table[]
      readonly remembered: TableMapping | undefined
    }
  | { readonly at: 'review'; readonly batch: SortedBatch }

const mappingKey = (table: Table): string => `columns ${tablePrint(table.table)}`

/** The way rides come in: recorded files, a table, one by hand, the bike's computer, or a service. */
export function AddRides({ report }: { readonly report: BikeReport }) {
  const { entries, kept, garage } = useOpenLog()
  const [step, setStep] = useState<Step>({ at: 'idle' })
  const { entry } = report.bike

  /** Goes on to the next table, or, when none is left, to the review. */
  const goOn = async (held: Held, tables: readonly Table[]) => {
    const [table, ...rest] = tables
    if (table) {
      const remembered = (await kept.read(mappingKey(table))) as TableMapping | undefined
      setStep({ at: 'columns', held, table, rest, remembered })
      return
    }
    const files = [...held.files.filter((file) => file.form !== 'table'), ...held.faults]
    setStep({ at: 'review', batch: sortBatch(entry.bike, files, held.rows, liveRides(entries)) })
  }

  const start = (files: readonly File[]) => {
    if (files.length === 0) return
    const setup: RideSetup = { ...entry, ...sprocketTeeth(garage, entry.bike) }
    const reading = readRides(
      files,
      {
        motor: setup.motor,
        rings: setup.rings,
        cogs: setup.cogs,
        circumferenceMm: setup.circumferenceMm,
        massKg: setup.massKg,
        motorShare: setup.motorShare,
      },
      (progress) => setStep((now) => (now.at === 'reading' ? { ...now, progress } : now)),
    )
    setStep({ at: 'reading', progress: { done: 0, of: files.length }, reading })
    const failed = () =>
      setStep({
        at: 'idle',
        said: 'The files could not be read. Nothing was added; try them again, fewer at once.',
      })
    reading.result
      .then((result) =>
        result === 'cancelled'
          ? setStep({ at: 'idle', said: 'Cancelled. Nothing was added.' })
          : goOn(
              { files: result, rows: [], faults: [] },
              result.filter((file) => file.form === 'table'),
            ),
      )
      .catch(failed)
  }

  return (
    <WorkSection id="add" title={`Add rides to ${entry.name}`}>
      {step.at === 'idle' && <DropPlace onFiles={start} />}
      <p role="status" className="text-[0.95rem] empty:hidden">
        {step.at === 'idle' ? step.said : ''}
      </p>
      {step.at === 'reading' && (
        <div className="flex items-center gap-4">
          <label className="flex-1 text-[0.95rem]">
            Reading file {Math.min(step.progress.done + 1, step.progress.of)} of {step.progress.of}
            <progress
              className="mt-1 block h-2 w-full accent-petrol"
              max={step.progress.of}
              value={step.progress.done}
            />
          </label>
          <Button onClick={step.reading.cancel}>Cancel</Button>
        </div>
      )}
      {step.at === 'columns' && (
        <TableColumns
          key={step.table.file}
          file={step.table.file}
          table={step.table.table}
          remembered={step.remembered}
          onRead={(mapping, { rides, faults }) => {
            const { held, table, rest } = step
            void kept.keep(mappingKey(table), mapping)
            const bad = faults.map(({ line, fault }) => ({
              file: `${table.file}, line ${line}`,
              form: 'fault' as const,
              fault,
            }))
            void goOn(
              {
                ...held,
                rows: [...held.rows, ...rides.map((ride) => draftOfRow(entry.bike, ride, table.file))],
                faults: [...held.faults, ...bad],
              },
              rest,
            )
          }}
          onLeave={() => void goOn(step.held, step.rest)}
        />
      )}
      {step.at === 'review' && (
        <BatchReview bike={entry} batch={step.batch} onDone={(said) => setStep({ at: 'idle', said })} />
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

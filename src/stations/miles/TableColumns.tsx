import { useState } from 'react'
import type { DateOrder, DecimalMark, RideTable } from '../../formats/rides/ride-table.ts'
import {
  guessMapping,
  isWhole,
  ridesOfTable,
  type DistanceUnit,
  type ReadTable,
  type TableMapping,
} from '../../formats/rides/table-rides.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayCount, sayDay, sayKm } from '../../ui/words/numbers.ts'

interface Props {
  readonly file: string
  readonly table: RideTable
  /** How a table with these heads was read before. */
  readonly remembered: TableMapping | undefined
  readonly onRead: (mapping: TableMapping, read: ReadTable) => void
  readonly onLeave: () => void
}

const UNITS: Readonly<Record<DistanceUnit, string>> = { km: 'kilometres', miles: 'miles', metres: 'metres' }
const DATES: Readonly<Record<DateOrder, string>> = {
  iso: 'year, month, day',
  'day-first': 'day, month, year',
  'month-first': 'month, day, year',
}
const DECIMALS: Readonly<Record<DecimalMark, string>> = { point: 'a point: 12.5', comma: 'a comma: 12,5' }
const NONE = 'none'

/** Which column of a table holds what. Asked once; the next table with the same heads is read the same way. */
export function TableColumns({ file, table, remembered, onRead, onLeave }: Props) {
  const { now } = useOpenLog()
  const units = useUnits()
  const [mapping, setMapping] = useState<Partial<TableMapping>>(() => remembered ?? guessMapping(table))
  const columns = Object.fromEntries(table.heads.map((head, i) => [String(i), head || `column ${i + 1}`]))
  const pick = (name: 'when' | 'distance' | 'duration') => (value: string) => {
    const { [name]: _old, ...rest } = mapping
    if (value === NONE) return setMapping(rest)
    const picked: Partial<TableMapping> = { ...rest, [name]: Number(value) }
    const { when, distance, duration } = picked
    // A column picked tells its order of dates, its unit and its decimals as one that was guessed does.
    setMapping({
      ...picked,
      ...guessMapping(table, {
        ...(when !== undefined && { when }),
        ...(distance !== undefined && { distance }),
        ...(duration !== undefined && { duration }),
      }),
    })
  }
  const said = (at: number | undefined): string => (at === undefined ? NONE : String(at))
  const read = isWhole(mapping) ? ridesOfTable(table, mapping) : undefined
  const [first] = read?.rides ?? []
  return (
    <div className="flex flex-col gap-3 border-y border-hairline py-3">
      <p className="text-[0.95rem]">
        <strong>{file}</strong> is a table of {sayCount(table.rows.length, 'row')}. Say what its columns hold;
        it is kept for the next one like it.
      </p>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <SelectField
          label="Day and time in"
          options={{ [NONE]: 'choose a column', ...columns }}
          value={said(mapping.when)}
          onPick={pick('when')}
        />
        <SelectField
          label="Written as"
          options={{ [NONE]: 'choose the order', ...DATES }}
          value={mapping.dates ?? NONE}
          onPick={(dates) => dates !== NONE && setMapping({ ...mapping, dates: dates })}
        />
        <SelectField
          label="Distance in"
          options={{ [NONE]: 'choose a column', ...columns }}
          value={said(mapping.distance)}
          onPick={pick('distance')}
        />
        <SelectField
          label="Its unit"
          options={{ [NONE]: 'choose the unit', ...UNITS }}
          value={mapping.unit ?? NONE}
          onPick={(unit) => unit !== NONE && setMapping({ ...mapping, unit: unit })}
        />
        <SelectField
          label="Decimals after"
          options={DECIMALS}
          value={mapping.decimals ?? 'point'}
          onPick={(decimals) => setMapping({ ...mapping, decimals })}
        />
        <SelectField
          label="Riding time in"
          options={{ [NONE]: 'no column', ...columns }}
          value={said(mapping.duration)}
          onPick={pick('duration')}
        />
      </div>
      <p role="status" className="text-sm text-steel">
        {!read && 'Choose the columns for the day and the distance, with their order and unit.'}
        {read && first && `The first row: ${sayDay(first.at, now)}, ${sayKm(first.km, units)}. `}
        {read &&
          read.faults.length > 0 &&
          `${sayCount(read.faults.length, 'row')} cannot be read, the first on line ${read.faults[0]?.line}: ${read.faults[0]?.fault}`}
      </p>
      <div className="flex flex-wrap gap-3">
        <Button
          look="firm"
          disabled={!read || read.rides.length === 0}
          onClick={() => read && isWhole(mapping) && onRead({ ...mapping, decimals: mapping.decimals }, read)}
        >
          Read {sayCount(read?.rides.length ?? 0, 'ride')}
        </Button>
        <Button onClick={onLeave}>Leave this table</Button>
      </div>
    </div>
  )
}

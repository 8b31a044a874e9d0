import { useMemo, useState } from 'react'
import type { Column, RideTable } from '../../formats/rides/ride-table.ts'
import {
  tableNumber,
  type DateOrder,
  type DecimalMark,
  type DurationUnit,
} from '../../formats/rides/table-cells.ts'
import {
  guessMapping,
  isWhole,
  ridesOfTable,
  type DistanceUnit,
  type ReadTable,
  type TableMapping,
} from '../../formats/rides/table-rides.ts'
import { kmToMiles } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { SelectField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import type { Units } from '../../core/units/units.ts'
import { sayCount, sayDay, sayKm } from '../../words/numbers.ts'

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
  iso: 'year, month, day, or the month by name',
  'day-first': 'day, month, year',
  'month-first': 'month, day, year',
}
const DECIMALS: Readonly<Record<DecimalMark, string>> = {
  point: 'a point: 12.5',
  comma: 'a comma: 12,5',
  each: 'now one, now the other',
}
const DURATIONS: Readonly<Record<DurationUnit, string>> = {
  'h:m': 'hours and minutes: 1:05',
  'm:s': 'minutes and seconds: 45:10',
  minutes: 'minutes',
  seconds: 'seconds',
  hours: 'hours',
}
const NONE = 'none'
const SHOWN = 4

type ColumnField = 'date' | 'clock' | 'distance' | 'duration'

/** To the metre, where a short ride would be rounded away: it is the figure that is in question. */
const sayExactly = (km: number, units: Units): string =>
  km >= 10
    ? sayKm(km, units)
    : units === 'metric'
      ? `${Number(km.toFixed(3))} km`
      : `${Number(kmToMiles(km).toFixed(3))} miles`

/** Rows as they are read: the first ones, and the one that could be read in another way. */
function Preview({
  table,
  read,
  mapping,
  doubtAt,
}: {
  readonly table: RideTable
  readonly read: ReadTable
  readonly mapping: TableMapping
  readonly doubtAt: number | undefined
}) {
  const { now } = useOpenLog()
  const units = useUnits()
  const doubtful = doubtAt === undefined ? undefined : table.lines[doubtAt]
  const isShown = (line: number, i: number): boolean => i < SHOWN || line === doubtful
  const cell = (line: number, at: number): string => table.rows[table.lines.indexOf(line)]?.[at] ?? ''
  const other = (written: string): number | undefined =>
    tableNumber(written, mapping.decimals === 'comma' ? 'point' : 'comma')
  return (
    <table className="w-full text-left text-[0.95rem]">
      <caption className="sr-only">How the rows are read</caption>
      <thead className="text-sm text-steel">
        <tr>
          <th className="pr-3 font-normal">Line</th>
          <th className="pr-3 font-normal">Day</th>
          <th className="pr-3 font-normal">Written</th>
          <th className="font-normal">Read as</th>
        </tr>
      </thead>
      <tbody>
        {read.rides
          .filter(({ line }, i) => isShown(line, i))
          .map(({ line, at, km, movingSeconds }) => {
            const written = cell(line, mapping.distance)
            const otherwise = line === doubtful ? other(written) : undefined
            return (
              <tr key={line} className="border-t border-hairline align-top">
                <td className="py-1 pr-3 text-steel">{line}</td>
                <td className="py-1 pr-3">{sayDay(at, now)}</td>
                <td className="py-1 pr-3 font-mono text-sm">{written}</td>
                <td className="py-1">
                  {sayExactly(km, units)}
                  {movingSeconds !== undefined && `, ${Math.round(movingSeconds / 60)} min`}
                  {otherwise !== undefined && (
                    <strong className="block text-rust">
                      Look at this one: it could also be read as {otherwise}.
                    </strong>
                  )}
                </td>
              </tr>
            )
          })}
      </tbody>
    </table>
  )
}

/** Which column of a table holds what. Asked once; the next table with the same heads is read the same way. */
export function TableColumns({ file, table, remembered, onRead, onLeave }: Props) {
  const { now } = useOpenLog()
  const [guess, setGuess] = useState(() => guessMapping(table))
  const [mapping, setMapping] = useState<Partial<TableMapping>>(() =>
    remembered && isWhole(remembered) ? remembered : guess.mapping,
  )
  const columns = Object.fromEntries(table.heads.map((head, i) => [String(i), head || `column ${i + 1}`]))
  const pick = (name: ColumnField) => (value: string) => {
    const { [name]: _old, ...rest } = mapping
    if (value === NONE) return setMapping(rest)
    const picked: Partial<TableMapping> = { ...rest, [name]: Number(value) }
    const { date, clock, distance, duration, sport } = picked
    const chosen: Partial<Record<Column, number>> = {
      ...(date !== undefined && { date }),
      ...(clock !== undefined && { clock }),
      ...(distance !== undefined && { distance }),
      ...(duration !== undefined && { duration }),
      ...(sport !== undefined && { sport }),
    }
    // A column picked tells its order of dates, its unit and its decimals as one that was guessed does.
    const again = guessMapping(table, chosen)
    setGuess(again)
    setMapping({ ...rest, ...again.mapping, [name]: Number(value) })
  }
  const said = (at: number | undefined): string => (at === undefined ? NONE : String(at))
  const read = useMemo(
    () => (isWhole(mapping) ? ridesOfTable(table, mapping, Date.parse(now)) : undefined),
    [table, mapping, now],
  )
  return (
    <div className="flex flex-col gap-3 border-y border-hairline py-3">
      <p className="text-[0.95rem]">
        <strong>{file}</strong> is a table of {sayCount(table.rows.length, 'row')}. Say what its columns hold;
        it is kept for the next one like it.
      </p>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <SelectField
          label="Day in"
          options={{ [NONE]: 'choose a column', ...columns }}
          value={said(mapping.date)}
          onPick={pick('date')}
        />
        <SelectField
          label="Written as"
          options={{ [NONE]: 'choose the order', ...DATES }}
          value={mapping.dates ?? NONE}
          onPick={(dates) => dates !== NONE && setMapping({ ...mapping, dates })}
        />
        <SelectField
          label="Time of day in"
          options={{ [NONE]: 'the same column, or none', ...columns }}
          value={said(mapping.clock)}
          onPick={pick('clock')}
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
          onPick={(unit) => unit !== NONE && setMapping({ ...mapping, unit })}
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
        {mapping.duration !== undefined && (
          <SelectField
            label="Its figures are"
            options={{ [NONE]: 'choose', ...DURATIONS }}
            value={mapping.durations ?? NONE}
            onPick={(durations) => durations !== NONE && setMapping({ ...mapping, durations })}
          />
        )}
      </div>
      {read && isWhole(mapping) && (
        <Preview table={table} read={read} mapping={mapping} doubtAt={guess.doubtAt} />
      )}
      <p role="status" className="text-sm text-steel">
        {!read && 'Choose the columns for the day and the distance, with their order and unit.'}
        {read &&
          read.faults.length > 0 &&
          `${sayCount(read.faults.length, 'row')} cannot be read, the first on line ${read.faults[0]?.line}: ${read.faults[0]?.fault}`}
      </p>
      <div className="flex flex-wrap gap-3">
        <Button
          look="firm"
          disabled={!read || read.rides.length === 0}
          onClick={() => read && isWhole(mapping) && onRead(mapping, read)}
        >
          Read {sayCount(read?.rides.length ?? 0, 'ride')}
        </Button>
        <Button onClick={onLeave}>Leave this table</Button>
      </div>
    </div>
  )
}

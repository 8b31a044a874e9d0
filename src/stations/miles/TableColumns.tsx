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
import { words } from '../../words/stations/miles/table-columns.ts'

interface Props {
  readonly file: string
  readonly table: RideTable
  /** How a table with these heads was read before. */
  readonly remembered: TableMapping | undefined
  readonly onRead: (mapping: TableMapping, read: ReadTable) => void
  readonly onLeave: () => void
}

const UNITS: Readonly<Record<DistanceUnit, string>> = {
  km: words.kilometres,
  miles: words.miles2,
  metres: words.metres,
}
const DATES: Readonly<Record<DateOrder, string>> = {
  iso: words.yearMonthDayOrTheMonth,
  'day-first': words.dayMonthYear,
  'month-first': words.monthDayYear,
}
const DECIMALS: Readonly<Record<DecimalMark, string>> = {
  point: words.aPoint125,
  comma: words.aComma125,
  each: words.nowOneNowTheOther,
}
const DURATIONS: Readonly<Record<DurationUnit, string>> = {
  'h:m': words.hoursAndMinutes1,
  'm:s': words.minutesAndSeconds45,
  minutes: words.minutes,
  seconds: words.seconds,
  hours: words.hours,
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
      : words.miles(Number(kmToMiles(km).toFixed(3)))

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
      <caption className="sr-only">{words.howTheRowsAre}</caption>
      <thead className="text-sm text-steel">
        <tr>
          <th className="pr-3 font-normal">{words.line}</th>
          <th className="pr-3 font-normal">{words.day}</th>
          <th className="pr-3 font-normal">{words.written}</th>
          <th className="font-normal">{words.readAs}</th>
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
                  {movingSeconds !== undefined && words.min(Math.round(movingSeconds / 60))}
                  {otherwise !== undefined && (
                    <strong className="block text-rust">{words.lookAtThisOne(otherwise)}</strong>
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
  const columns = Object.fromEntries(table.heads.map((head, i) => [String(i), head || words.column(i + 1)]))
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
        <strong>{file}</strong> {words.isATableOfSay(sayCount(table.rows.length, 'row'))}
      </p>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <SelectField
          label={words.dayIn}
          options={{ [NONE]: words.chooseAColumn, ...columns }}
          value={said(mapping.date)}
          onPick={pick('date')}
        />
        <SelectField
          label={words.writtenAs}
          options={{ [NONE]: words.chooseTheOrder, ...DATES }}
          value={mapping.dates ?? NONE}
          onPick={(dates) => dates !== NONE && setMapping({ ...mapping, dates })}
        />
        <SelectField
          label={words.timeOfDayIn}
          options={{ [NONE]: words.theSameColumnOrNone, ...columns }}
          value={said(mapping.clock)}
          onPick={pick('clock')}
        />
        <SelectField
          label={words.distanceIn}
          options={{ [NONE]: words.chooseAColumn, ...columns }}
          value={said(mapping.distance)}
          onPick={pick('distance')}
        />
        <SelectField
          label={words.itsUnit}
          options={{ [NONE]: words.chooseTheUnit, ...UNITS }}
          value={mapping.unit ?? NONE}
          onPick={(unit) => unit !== NONE && setMapping({ ...mapping, unit })}
        />
        <SelectField
          label={words.decimalsAfter}
          options={DECIMALS}
          value={mapping.decimals ?? 'point'}
          onPick={(decimals) => setMapping({ ...mapping, decimals })}
        />
        <SelectField
          label={words.ridingTimeIn}
          options={{ [NONE]: words.noColumn, ...columns }}
          value={said(mapping.duration)}
          onPick={pick('duration')}
        />
        {mapping.duration !== undefined && (
          <SelectField
            label={words.itsFiguresAre}
            options={{ [NONE]: words.choose, ...DURATIONS }}
            value={mapping.durations ?? NONE}
            onPick={(durations) => durations !== NONE && setMapping({ ...mapping, durations })}
          />
        )}
      </div>
      {read && isWhole(mapping) && (
        <Preview table={table} read={read} mapping={mapping} doubtAt={guess.doubtAt} />
      )}
      <p role="status" className="text-sm text-steel">
        {!read && words.chooseTheColumnsForTheDay}
        {read &&
          read.faults.length > 0 &&
          words.cannotBeReadTheFirst(
            sayCount(read.faults.length, 'row'),
            read.faults[0]?.line,
            read.faults[0]?.fault,
          )}
      </p>
      <div className="flex flex-wrap gap-3">
        <Button
          look="firm"
          disabled={!read || read.rides.length === 0}
          onClick={() => read && isWhole(mapping) && onRead(mapping, read)}
        >
          {words.read(sayCount(read?.rides.length ?? 0, 'ride'))}
        </Button>
        <Button onClick={onLeave}>{words.leaveThisTable}</Button>
      </div>
    </div>
  )
}

import { useState } from 'react'
import type { RideTable } from '../../formats/rides/ride-table.ts'
import type { DateOrder } from '../../formats/rides/table-cells.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { words } from '../../words/stations/miles/track-dates.ts'

interface Props {
  readonly file: string
  readonly table: RideTable
  /** How the last one was read. */
  readonly remembered: DateOrder | undefined
  readonly onRead: (dates: DateOrder) => void
  readonly onLeave: () => void
}

/** A table of points whose dates could be read in two ways. */
export function TrackDates({ file, table, remembered, onRead, onLeave }: Props) {
  const [dates, setDates] = useState(remembered)
  const [first = []] = table.rows
  return (
    <div className="flex flex-col gap-3 border-y border-hairline py-3">
      <p className="text-[0.95rem]">
        <strong>{file}</strong> {words.holdsThePointsOfARide(table.rows.length)}{' '}
        <span className="font-mono text-sm">{first.slice(0, 2).join('  ')}</span>.
      </p>
      <Choice<DateOrder>
        legend={words.itsDatesAreWritten}
        options={[
          { value: 'day-first', label: words.dayMonthYear },
          { value: 'month-first', label: words.monthDayYear },
        ]}
        value={dates}
        onPick={setDates}
      />
      <div className="flex flex-wrap gap-3">
        <Button look="firm" disabled={dates === undefined} onClick={() => dates && onRead(dates)}>
          {words.readTheRide}
        </Button>
        <Button onClick={onLeave}>{words.leaveThisTable}</Button>
      </div>
    </div>
  )
}

import { useState } from 'react'
import type { RideTable } from '../../formats/rides/ride-table.ts'
import type { DateOrder } from '../../formats/rides/table-cells.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice } from '../../ui/parts/fields.tsx'

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
        <strong>{file}</strong> holds the {table.rows.length} points of a ride. Its dates could be read in two
        ways: the first row begins with{' '}
        <span className="font-mono text-sm">{first.slice(0, 2).join('  ')}</span>.
      </p>
      <Choice<DateOrder>
        legend="Its dates are written"
        options={[
          { value: 'day-first', label: 'day, month, year' },
          { value: 'month-first', label: 'month, day, year' },
        ]}
        value={dates}
        onPick={setDates}
      />
      <div className="flex flex-wrap gap-3">
        <Button look="firm" disabled={dates === undefined} onClick={() => dates && onRead(dates)}>
          Read the ride
        </Button>
        <Button onClick={onLeave}>Leave this table</Button>
      </div>
    </div>
  )
}

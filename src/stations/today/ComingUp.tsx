import { useState } from 'react'
import { Link } from 'react-router'
import { remindersOf, type Judged } from '../../core/strategy/reminders.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { bikeChosen, useSend, useUnits } from '../../ui/screen-state.ts'
import { bikeOf, sayReminderDay, sayToDo, sayWhen } from '../../words/ahead.ts'
import { saveBytes } from '../../ui/save-file.ts'
import { calendarItems, reminderId } from './calendar-items.ts'
import { REMINDER_PLACES } from './reminder-places.ts'
import { WeeksAhead } from './WeeksAhead.tsx'
import { words } from '../../words/stations/today/coming-up.ts'

/** How many are shown at first. */
const SHOWN = 12

/** What comes next, by day, on which bike; and the same as a file for a calendar. */
export function ComingUp({ bikes }: { readonly bikes: readonly Judged[] }) {
  const { garage, entries, now } = useOpenLog()
  const units = useUnits()
  const send = useSend()
  const [all, setAll] = useState(false)
  const reminders = remindersOf(bikes)
  if (reminders.length === 0) return null
  // Where nothing is ridden there are distances and no days: nothing to draw.
  const hasDays = reminders.some(({ day }) => day !== undefined)
  const save = async () => {
    const { writeCalendar } = await import('../../formats/calendar.ts')
    const items = calendarItems(reminders, garage, entries, units, now)
    saveBytes('jolt-mile.ics', writeCalendar(items, entries.length, now), 'text/calendar')
  }
  return (
    <Section title={words.comingUp} note={words.fromHowEachBike} className="mt-10">
      {hasDays && (
        <WeeksAhead reminders={reminders} bikes={bikes.map(({ report }) => report.bike.entry.bike)} />
      )}
      <details className="mt-3" open={!hasDays}>
        <summary className="w-fit cursor-pointer text-[0.95rem] underline underline-offset-4">
          {words.asAList}
        </summary>
        <ul aria-label={words.comingUp} className="mt-2 border-b border-hairline">
          {reminders.slice(0, all ? undefined : SHOWN).map((reminder) => (
            <li
              key={reminderId(reminder)}
              className="grid grid-cols-[11rem_minmax(0,1fr)_minmax(0,1.4fr)] items-baseline gap-x-6 border-t border-hairline py-2 max-sm:grid-cols-[6.5rem_minmax(0,1fr)] max-sm:gap-x-3"
            >
              <span className="tabular-nums">{sayReminderDay(reminder, now)}</span>
              <Link
                to={REMINDER_PLACES[reminder.kind]}
                className="underline underline-offset-4 decoration-hairline hover:decoration-ink"
                onClick={() => send(bikeChosen(reminder.bike))}
              >
                {bikeOf(garage, reminder)}: {sayToDo(reminder)}
              </Link>
              <span className="text-[0.95rem] text-steel max-sm:col-start-2">
                {sayWhen(reminder, units, now)}
              </span>
            </li>
          ))}
        </ul>
        {reminders.length > SHOWN && (
          <Button look="link" className="mt-2" aria-expanded={all} onClick={() => setAll(!all)}>
            {all ? words.showFewer : words.showAll(reminders.length)}
          </Button>
        )}
      </details>
      <div className="no-print mt-4 flex flex-wrap items-center gap-x-5 gap-y-2">
        <Button onClick={() => void save()}>{words.saveAsACalendar}</Button>
        <p className="max-w-[36rem] text-sm text-steel">{words.anIcalendarFileImport}</p>
      </div>
    </Section>
  )
}

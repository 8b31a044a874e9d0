import { STATIONS } from '../../words/places.ts'
import { differenceInCalendarDays } from 'date-fns'
import { Link } from 'react-router'
import { useOpenLog } from '../../session/log-context.ts'
import { LONG_UNSAVED_DAYS, MUCH_UNSAVED, useSafeKeeping } from '../../session/safe-keeping.ts'
import { sayCount } from '../../words/numbers.ts'
import { sayUnsaved } from '../../words/unsaved.ts'
import { words } from '../../words/stations/today/unsaved-note.ts'

/** That much would be lost with this browser, or that entries wait for a newer app: said only when it is so. */
export function UnsavedNote() {
  const { world, now } = useOpenLog()
  const { unsaved, lastBackup, aside } = useSafeKeeping()
  const [first] = unsaved
  const since = lastBackup?.at ?? first?.at
  const days = since === undefined ? 0 : differenceInCalendarDays(new Date(now), new Date(since))
  const isMuch =
    world === 'own' && (unsaved.length >= MUCH_UNSAVED || (unsaved.length > 0 && days > LONG_UNSAVED_DAYS))
  const newer = aside.filter(({ why }) => why === 'newer').length
  if (!isMuch && newer === 0) return null
  return (
    <p className="mt-6 text-[0.95rem]">
      {isMuch && `${sayUnsaved(unsaved, lastBackup, now)} `}
      {newer > 0 && words.aNewerVersionOfTheApp(sayCount(newer, 'entryNeeds'))}
      <Link to={STATIONS.files.path} className="underline underline-offset-4">
        {isMuch ? words.saveABackup : words.showThem}
      </Link>
    </p>
  )
}

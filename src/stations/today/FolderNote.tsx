import { Link } from 'react-router'
import { useSafeKeeping } from '../../session/safe-keeping.ts'
import { sayPassed } from '../../words/passed-over.ts'
import { STATIONS } from '../../words/places.ts'
import { words } from '../../words/stations/today/from-elsewhere.ts'

/** Files of other devices in the folder that could not be taken in, by their names. Nothing where all of them could. */
export function FolderNote() {
  const { folder } = useSafeKeeping()
  const state = folder?.state
  // Another world's file is no fault: Files says that it is passed over.
  const bad = state?.passed.filter(({ why }) => why === 'unreadable' || why === 'partial') ?? []
  if (!state || bad.length === 0) return null
  return (
    <section className="mt-6 text-[0.95rem] [overflow-wrap:anywhere]">
      <p>
        {words.notTakenIn(state.name === '' ? words.theFolder : state.name)}{' '}
        <Link to={STATIONS.files.path} className="underline underline-offset-4">
          {words.showFiles}
        </Link>
      </p>
      <ul className="mt-1 list-disc pl-5">
        {bad.map((one) => (
          <li key={one.name}>{sayPassed(one)}</li>
        ))}
      </ul>
    </section>
  )
}

import { useState } from 'react'
import { isRouteErrorResponse, Link, useRouteError } from 'react-router'
import { saveBackup } from '../session/backup.ts'
import { allAside } from '../store/merge-in.ts'
import { allEntries } from '../store/write.ts'
import { Button, buttonLook } from '../ui/parts/Button.tsx'
import { isChunkError } from '../ui/parts/chunk-error.ts'
import { FullNotice } from '../ui/parts/FullNotice.tsx'
import { saveText } from '../ui/save-file.ts'
import { sayBackup } from '../words/backup.ts'
import { useOnce } from '../ui/use-once.ts'
import { SafePage } from './SafePage.tsx'
import { STATION_LIST } from '../words/places.ts'
import { ledger, world } from './world.ts'

/** An address that leads nowhere: says so, and where one can go from here. */
export function NotFound() {
  return (
    <div className="mx-auto max-w-[44rem] p-9 max-md:p-4">
      <h1 className="text-3xl font-medium">There is no station at this address.</h1>
      <p className="mt-3 text-steel">
        It may have been mistyped or moved. Nothing in your log has changed. These are open:
      </p>
      <ul className="mt-4 flex flex-wrap gap-3">
        {STATION_LIST.map(({ path, name }) => (
          <li key={path}>
            <Link to={path} className={buttonLook('plain')}>
              {name}
            </Link>
          </li>
        ))}
      </ul>
    </div>
  )
}

const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))

/** A piece of the app is not there: the page must be loaded again. */
function NotLoaded() {
  return (
    <FullNotice
      title="This part of the app could not be loaded."
      actions={
        <Button look="next" onClick={() => location.reload()}>
          Reload
        </Button>
      }
    >
      <p>
        There may be no network, or the app has been brought up to date meanwhile. Reload the page. Your log
        is not touched.
      </p>
    </FullNotice>
  )
}

/** Something broke on a station: the records are safe, can be saved, and can be looked at where nothing is worked out. */
export function Broken() {
  const error = useRouteError()
  const [said, setSaid] = useState('')
  const [save, saving] = useOnce(() =>
    saveBackup(
      world,
      async () => ({
        stored: await allEntries(ledger.database),
        aside: await allAside(ledger.database),
      }),
      saveText,
      (outcome) => setSaid(sayBackup(outcome)),
    ),
  )
  if (isRouteErrorResponse(error) && error.status === 404) return <NotFound />
  if (isChunkError(error)) return <NotLoaded />
  return (
    <FullNotice
      title="Something broke on this screen. Your log is not touched."
      status={said}
      actions={
        <>
          <Button look="next" onClick={() => location.reload()}>
            Reload
          </Button>
          <Button disabled={saving} onClick={save}>
            Save a backup
          </Button>
          <Link to="/safe" className={buttonLook('plain')}>
            Open the safe page
          </Link>
        </>
      }
    >
      <p>Save a backup first if you like, then reload. If it breaks again, this is the error:</p>
      <p className="font-mono text-sm [overflow-wrap:anywhere] text-ink">{messageOf(error)}</p>
    </FullNotice>
  )
}

/** Something broke above every station: the safe page comes by itself. */
export function BrokenAbove() {
  const error = useRouteError()
  if (isRouteErrorResponse(error) && error.status === 404) return <NotFound />
  if (isChunkError(error)) return <NotLoaded />
  return <SafePage why={`The app could not be opened: ${messageOf(error).slice(0, 200)}.`} />
}

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
import { words } from '../words/app/faults.ts'

/** An address that leads nowhere: says so, and where one can go from here. */
export function NotFound() {
  return (
    <div className="mx-auto max-w-[44rem] p-9 max-md:p-4">
      <h1 className="text-3xl font-medium">{words.thereIsNoStation}</h1>
      <p className="mt-3 text-steel">{words.itMayHaveBeen}</p>
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
      title={words.thisPartOfTheApp}
      actions={
        <Button look="next" onClick={() => location.reload()}>
          {words.reload}
        </Button>
      }
    >
      <p>{words.thereMayBeNo}</p>
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
      title={words.somethingBrokeOnThisScreen}
      status={said}
      actions={
        <>
          <Button look="next" onClick={() => location.reload()}>
            {words.reload}
          </Button>
          <Button disabled={saving} onClick={save}>
            {words.saveABackup}
          </Button>
          <Link to="/safe" className={buttonLook('plain')}>
            {words.openTheSafePage}
          </Link>
        </>
      }
    >
      <p>{words.saveABackupFirst}</p>
      <p className="font-mono text-sm [overflow-wrap:anywhere] text-ink">{messageOf(error)}</p>
    </FullNotice>
  )
}

/** Something broke above every station: the safe page comes by itself. */
export function BrokenAbove() {
  const error = useRouteError()
  if (isRouteErrorResponse(error) && error.status === 404) return <NotFound />
  if (isChunkError(error)) return <NotLoaded />
  return <SafePage why={words.theAppCouldNot(messageOf(error).slice(0, 200))} />
}

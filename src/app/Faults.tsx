import { useState } from 'react'
import { isRouteErrorResponse, Link, useRouteError } from 'react-router'
import { writeBackup } from '../formats/write-backup.ts'
import { allEntries } from '../store/write.ts'
import { Button, buttonLook } from '../ui/parts/Button.tsx'
import { saveText } from '../ui/save-file.ts'
import { STATIONS } from './stations.ts'
import { database } from './world.ts'

/** An address that leads nowhere: says so, and where one can go from here. */
export function NotFound() {
  return (
    <div className="mx-auto max-w-[44rem] p-9 max-md:p-4">
      <h1 className="text-3xl font-medium">There is no station at this address.</h1>
      <p className="mt-3 text-steel">
        It may have been mistyped or moved. Nothing in your log has changed. These are open:
      </p>
      <ul className="mt-4 flex flex-wrap gap-3">
        {STATIONS.map(({ path, name }) => (
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

/** Something broke: the records are safe, and can be saved from here. */
export function Broken() {
  const error = useRouteError()
  const [said, setSaid] = useState('')
  if (isRouteErrorResponse(error) && error.status === 404) return <NotFound />
  const message = error instanceof Error ? error.message : String(error)
  const save = async () => {
    try {
      const now = new Date().toISOString()
      saveText(`jolt-mile-${now.slice(0, 10)}.json`, writeBackup(await allEntries(database), now))
      setSaid('The backup is saved.')
    } catch {
      setSaid('The log could not be read just now. Reload the page and try again.')
    }
  }
  return (
    <div className="mx-auto max-w-[44rem] p-9 max-md:p-4">
      <h1 className="text-3xl font-medium">Something broke on this screen. Your log is not touched.</h1>
      <p className="mt-3 text-steel">
        Save a backup if you want to be sure, then reload. If it breaks again, this is what it said:
      </p>
      <p className="mt-3 font-mono text-sm">{message}</p>
      <div className="mt-5 flex flex-wrap items-center gap-3">
        <Button look="next" onClick={() => location.reload()}>
          Reload
        </Button>
        <Button onClick={() => void save()}>Save a backup</Button>
        <span role="status">{said}</span>
      </div>
    </div>
  )
}

import { useSyncExternalStore } from 'react'
import { Button } from '../ui/parts/Button.tsx'
import { subscribeToVersion, takeVersion, versionState } from './app-versions.ts'
import { words } from '../words/app/version-note.ts'

/** That a newer version of the app is there. It is taken when the user says so. */
export function VersionNote() {
  const state = useSyncExternalStore(subscribeToVersion, versionState)
  if (state === 'current') return null
  return (
    <div role="status" className="no-print border-b border-hairline bg-raised px-9 py-2 text-sm max-md:px-4">
      {state === 'waiting' ? (
        <p className="mx-auto flex max-w-[80rem] flex-wrap items-center gap-x-4">
          {words.aNewVersionOfJolt}
          <Button look="link" onClick={takeVersion}>
            {words.useItNow}
          </Button>
        </p>
      ) : (
        <p className="mx-auto flex max-w-[80rem] flex-wrap items-center gap-x-4">
          {words.joltMileWasBrought}
          <Button look="link" onClick={() => location.reload()}>
            {words.reload}
          </Button>
        </p>
      )}
    </div>
  )
}

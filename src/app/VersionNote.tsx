import { useSyncExternalStore } from 'react'
import { Button } from '../ui/parts/Button.tsx'
import { subscribeToVersion, takeVersion, versionState } from './app-versions.ts'

/** That a newer version of the app is there. It is taken when the user says so. */
export function VersionNote() {
  const state = useSyncExternalStore(subscribeToVersion, versionState)
  if (state === 'current') return null
  return (
    <div role="status" className="no-print border-b border-hairline bg-raised px-9 py-2 text-sm max-md:px-4">
      {state === 'waiting' ? (
        <p className="mx-auto flex max-w-[80rem] flex-wrap items-center gap-x-4">
          A new version of Jolt Mile is ready. Save what you are typing first.
          <Button look="link" onClick={takeVersion}>
            Use it now
          </Button>
        </p>
      ) : (
        <p className="mx-auto flex max-w-[80rem] flex-wrap items-center gap-x-4">
          Jolt Mile was brought up to date in another tab.
          <Button look="link" onClick={() => location.reload()}>
            Reload
          </Button>
        </p>
      )}
    </div>
  )
}

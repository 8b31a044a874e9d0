import { useState, type ReactNode } from 'react'
import type { Entry } from '../core/log/entries.ts'
import { saveBackup } from '../session/backup.ts'
import type { OpenFault } from '../store/database.ts'
import type { Ledger, LogState } from '../store/ledger.ts'
import { Button, buttonLook } from '../ui/parts/Button.tsx'
import { FullNotice } from '../ui/parts/FullNotice.tsx'
import { saveText } from '../ui/save-file.ts'
import { sayBackup } from '../words/backup.ts'
import { sayCount } from '../words/numbers.ts'
import { useOnce } from '../ui/use-once.ts'
import { DEMO_PATH, world } from './world.ts'

const SHUT: Readonly<Record<OpenFault, readonly [title: string, what: string, toDo: string]>> = {
  missing: [
    'This browser keeps no data for web pages.',
    'Jolt Mile keeps your log in the browser (in IndexedDB), and this one has none.',
    'Open the app in another browser, or in an ordinary window instead of a private one.',
  ],
  denied: [
    'The browser does not let this page keep data.',
    'A setting forbids it, or this is a private window that keeps nothing.',
    'Allow site data for this address in the browser’s settings, or use an ordinary window. Then try again.',
  ],
  hanging: [
    'The browser’s storage does not answer.',
    'Another tab of Jolt Mile may be holding it, or the browser is busy with its disk.',
    'Close the other tabs of Jolt Mile and try again. If that does not help, restart the browser: your log stays where it is.',
  ],
  newer: [
    'A newer version of Jolt Mile wrote this log.',
    'This page is an older version. It leaves the log alone, so that nothing of it is lost.',
    'Reload the page to get the newer version.',
  ],
  full: [
    'There is no room on this device.',
    'The browser cannot open the log because its storage is full. What is in the log stays there.',
    'Make room on the device, then try again.',
  ],
  broken: [
    'The browser could not open the log.',
    'It gave no reason that helps. Your log has not been changed.',
    'Try again. If that does not help, restart the browser.',
  ],
}

/** The log cannot be opened: why, and what to do. */
function LogShut({ fault, onTry }: { readonly fault: OpenFault; readonly onTry: () => void }) {
  const [title, what, toDo] = SHUT[fault]
  return (
    <FullNotice
      title={title}
      actions={
        <>
          {fault === 'newer' ? (
            <Button look="next" onClick={() => location.reload()}>
              Reload
            </Button>
          ) : (
            <Button look="next" onClick={onTry}>
              Try again
            </Button>
          )}
          {world === 'own' && fault !== 'missing' && fault !== 'denied' && (
            <a href={`${DEMO_PATH}/`} className={buttonLook('plain')}>
              Open the demo
            </a>
          )}
        </>
      }
    >
      <p>{what}</p>
      <p>{toDo}</p>
    </FullNotice>
  )
}

/** Saves what this page still knows of the log. */
function useMemoryBackup(stored: readonly Entry[]) {
  const [said, setSaid] = useState('')
  const [save, busy] = useOnce(() =>
    saveBackup(
      world,
      () => ({ stored, aside: [] }),
      saveText,
      (outcome) => setSaid(sayBackup(outcome)),
    ),
  )
  return { said, setSaid, save, busy }
}

/** The log was deleted while the page was open. */
function LogVanished({ stored, ledger }: { readonly stored: readonly Entry[]; readonly ledger: Ledger }) {
  const { said, setSaid, save, busy } = useMemoryBackup(stored)
  const [writeBack, writing] = useOnce(() =>
    ledger.writeBack().catch(() => setSaid('That did not work. Save the backup first, then reload.')),
  )
  const count = sayCount(stored.length, 'entry', 'entries')
  return (
    <FullNotice
      title="The browser has deleted your log while it was open."
      status={said}
      actions={
        <>
          <Button look="next" disabled={busy} onClick={save}>
            Save a backup
          </Button>
          <Button disabled={writing} onClick={writeBack}>
            Put the {count} back
          </Button>
          <Button look="link" onClick={() => location.reload()}>
            Reload
          </Button>
        </>
      }
    >
      <p>
        Somebody cleared this site’s data, or the browser needed the room. This page still holds all {count}:
        save them before you close it.
      </p>
    </FullNotice>
  )
}

/** The browser held a log, and has none now. */
export function LogLost({ count, onGoOn }: { readonly count: number; readonly onGoOn: () => void }) {
  return (
    <FullNotice
      title="The browser has lost your log."
      actions={
        <>
          <a href="/files" className={buttonLook('next')} onClick={onGoOn}>
            Bring in a backup
          </a>
          <Button look="link" onClick={onGoOn}>
            Start with an empty log
          </Button>
        </>
      }
    >
      <p>
        {sayCount(count, 'entry was', 'entries were')} here the last time, and none is now: the site’s data
        was cleared, the browser needed the room, or it was cut off in the middle of its own work.
      </p>
      <p>Bring in your last backup, or the file from the folder that was kept up to date.</p>
    </FullNotice>
  )
}

/** A newer version of the app has taken over the log in another tab. */
function LogOutdated({ stored }: { readonly stored: readonly Entry[] }) {
  const { said, save, busy } = useMemoryBackup(stored)
  return (
    <FullNotice
      title="A newer version of Jolt Mile has opened this log in another tab."
      status={said}
      actions={
        <>
          <Button look="next" onClick={() => location.reload()}>
            Reload
          </Button>
          <Button disabled={busy} onClick={save}>
            Save a backup
          </Button>
        </>
      }
    >
      <p>
        This page has stopped writing, so that the two do not mix. Reload it to go on with the newer version.
      </p>
    </FullNotice>
  )
}

/** A log that is not open and will not be by itself; undefined for one that is, or is being opened. */
export function notOpen(state: LogState, ledger: Ledger): ReactNode {
  switch (state.status) {
    case 'shut':
      return <LogShut fault={state.fault} onTry={ledger.open} />
    case 'vanished':
      return <LogVanished stored={state.stored} ledger={ledger} />
    case 'outdated':
      return <LogOutdated stored={state.stored} />
    case 'opening':
    case 'open':
      return undefined
  }
}

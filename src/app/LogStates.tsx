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
import { words } from '../words/app/log-states.ts'

const SHUT: Readonly<Record<OpenFault, readonly [title: string, what: string, toDo: string]>> = {
  missing: [words.thisBrowserKeepsNo, words.joltMileKeepsYour, words.openTheAppInAnother],
  denied: [words.theBrowserDoesNot, words.aSettingForbidsItOrThis, words.allowSiteDataForThisAddress],
  hanging: [words.theBrowsersStorageDoes, words.anotherTabOfJolt, words.closeTheOtherTabs],
  newer: [words.aNewerVersionOfJolt, words.thisPageIsAnOlder, words.reloadThePageToGet],
  full: [words.thereIsNoRoom, words.theBrowserCannotOpen, words.makeRoomOnTheDevice],
  broken: [words.theBrowserCouldNot, words.itGaveNoReason, words.tryAgainIfThatDoes],
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
              {words.reload}
            </Button>
          ) : (
            <Button look="next" onClick={onTry}>
              {words.tryAgain}
            </Button>
          )}
          {world === 'own' && fault !== 'missing' && fault !== 'denied' && (
            <a href={`${DEMO_PATH}/`} className={buttonLook('plain')}>
              {words.openTheDemo}
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
  const [writeBack, writing] = useOnce(() => ledger.writeBack().catch(() => setSaid(words.thatDidNotWork)))
  const count = sayCount(stored.length, 'entry')
  return (
    <FullNotice
      title={words.theBrowserHasDeleted}
      status={said}
      actions={
        <>
          <Button look="next" disabled={busy} onClick={save}>
            {words.saveABackup}
          </Button>
          <Button disabled={writing} onClick={writeBack}>
            {words.putTheBack(count)}
          </Button>
          <Button look="link" onClick={() => location.reload()}>
            {words.reload}
          </Button>
        </>
      }
    >
      <p>{words.somebodyClearedThisSites(count)}</p>
    </FullNotice>
  )
}

/** The browser held a log, and has none now. */
export function LogLost({ count, onGoOn }: { readonly count: number; readonly onGoOn: () => void }) {
  return (
    <FullNotice
      title={words.theBrowserHasLost}
      actions={
        <>
          <a href="/files" className={buttonLook('next')} onClick={onGoOn}>
            {words.bringInABackup}
          </a>
          <Button look="link" onClick={onGoOn}>
            {words.startWithAnEmpty}
          </Button>
        </>
      }
    >
      <p>{words.hereTheLastTime(sayCount(count, 'entryWas'))}</p>
      <p>{words.bringInYourLast}</p>
    </FullNotice>
  )
}

/** A newer version of the app has taken over the log in another tab. */
function LogOutdated({ stored }: { readonly stored: readonly Entry[] }) {
  const { said, save, busy } = useMemoryBackup(stored)
  return (
    <FullNotice
      title={words.aNewerVersionOfJoltMile}
      status={said}
      actions={
        <>
          <Button look="next" onClick={() => location.reload()}>
            {words.reload}
          </Button>
          <Button disabled={busy} onClick={save}>
            {words.saveABackup}
          </Button>
        </>
      }
    >
      <p>{words.thisPageHasStopped}</p>
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

import { useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { AsideEntry } from '../core/log/aside.ts'
import type { Entry } from '../core/log/entries.ts'
import { entryIdTime } from '../core/log/entry-id.ts'
import { withdrawnIds } from '../core/log/supersede.ts'
import { saveBackup } from '../session/backup.ts'
import { withdrawIn } from '../session/steps.ts'
import { useAside } from '../store/use-aside.ts'
import { Button, buttonLook } from '../ui/parts/Button.tsx'
import { TextField } from '../ui/parts/fields.tsx'
import { saveText } from '../ui/save-file.ts'
import { useOnce } from '../ui/use-once.ts'
import { sayBackup } from '../words/backup.ts'
import { wordsOf } from '../words/entries/index.ts'
import { sayCount } from '../words/numbers.ts'
import { notOpen } from './LogStates.tsx'
import { trustAgain } from './opening-guard.ts'
import { basename, ledger, world } from './world.ts'
import { words as phrases } from '../words/app/safe-page.ts'

const SHOWN = 200

/** What an entry says, as it is stored: nothing is worked out here. */
const rawOf = ({ id: _id, kind: _kind, format: _format, action: _action, ...rest }: Entry): string =>
  JSON.stringify(rest)

const writtenOn = (entry: Entry): string => {
  const ms = entryIdTime(entry.id)
  return Number.isFinite(ms) && ms < 8e15 ? new Date(ms).toISOString().slice(0, 10) : phrases.noDay
}

interface RowProps {
  readonly entry: Entry
  readonly isWithdrawn: boolean
  readonly onWithdraw: (id: string) => void
  readonly onSetAside: (id: string) => void
}

function Row({ entry, isWithdrawn, onWithdraw, onSetAside }: RowProps) {
  const name = phrases.written(wordsOf(entry).name, writtenOn(entry))
  return (
    <li className="flex items-start justify-between gap-4 border-b border-hairline py-2 max-sm:flex-col max-sm:gap-1">
      <div className="min-w-0">
        <p className={isWithdrawn ? 'text-steel line-through' : 'font-medium'}>{name}</p>
        <p className="line-clamp-3 font-mono text-xs [overflow-wrap:anywhere] text-steel">{rawOf(entry)}</p>
      </div>
      <div className="flex shrink-0 gap-3">
        {!isWithdrawn && (
          <Button look="link" aria-label={phrases.takeOut(name)} onClick={() => onWithdraw(entry.id)}>
            {phrases.takeOut2}
          </Button>
        )}
        <Button look="link" aria-label={phrases.setAside(name)} onClick={() => onSetAside(entry.id)}>
          {phrases.setAside2}
        </Button>
      </div>
    </li>
  )
}

/** What is kept beside the log, with the way back into it. */
function AsideRows({
  aside,
  onTake,
}: {
  readonly aside: readonly AsideEntry[]
  readonly onTake: (text: string) => void
}) {
  if (aside.length === 0) return null
  return (
    <section aria-labelledby="safe-aside">
      <h2 id="safe-aside" className="text-xl font-medium">
        {phrases.keptAside(aside.length)}
      </h2>
      <ul className="mt-2">
        {aside.slice(0, SHOWN).map(({ text, said }) => (
          <li key={text} className="flex items-start justify-between gap-4 border-b border-hairline py-2">
            <div className="min-w-0">
              <p>{said}</p>
              <p className="line-clamp-2 font-mono text-xs [overflow-wrap:anywhere] text-steel">{text}</p>
            </div>
            <Button look="link" className="shrink-0" onClick={() => onTake(text)}>
              {phrases.putBack}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}

function OpenedSafely({ stored }: { readonly stored: readonly Entry[] }) {
  const aside = useAside(ledger.database)
  const [text, setText] = useState('')
  const [said, setSaid] = useState('')
  const withdrawn = useMemo(() => withdrawnIds(stored), [stored])
  const found = useMemo(() => {
    const words = text.toLowerCase().split(/\s+/).filter(Boolean)
    return stored
      .filter((entry) => {
        const all = `${wordsOf(entry).name} ${JSON.stringify(entry)}`.toLowerCase()
        return words.every((word) => all.includes(word))
      })
      .sort((a, b) => (a.id < b.id ? 1 : -1))
  }, [stored, text])
  const [save, saving] = useOnce(() =>
    saveBackup(
      world,
      () => ({ stored, aside }),
      saveText,
      (outcome) => setSaid(sayBackup(outcome)),
    ),
  )
  const attempt = (work: Promise<unknown>, done: string) =>
    void work.then(
      () => setSaid(done),
      () => setSaid(phrases.theBrowserRefusedToWrite),
    )
  return (
    <div className="mt-6 flex flex-col gap-6">
      <div className="flex flex-wrap items-center gap-3">
        <Button look="next" disabled={saving} onClick={save}>
          {phrases.saveABackup}
        </Button>
        <a
          href={basename === '/' ? '/' : `${basename}/`}
          className={buttonLook('plain')}
          onClick={trustAgain}
        >
          {phrases.openTheAppAgain}
        </a>
        <p role="status">{said}</p>
      </div>
      <section aria-labelledby="safe-log">
        <h2 id="safe-log" className="text-xl font-medium">
          {phrases.theLogNewestFirst(sayCount(stored.length, 'entry'))}
        </h2>
        <TextField
          label={phrases.find}
          type="search"
          className="mt-2 max-w-96"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <ul className="mt-2">
          {found.slice(0, SHOWN).map((entry) => (
            <Row
              key={entry.id}
              entry={entry}
              isWithdrawn={withdrawn.has(entry.id)}
              onWithdraw={(id) => attempt(withdrawIn(ledger, [id]), phrases.takenOutItNo)}
              onSetAside={(id) => attempt(ledger.setAside([id]), phrases.setAsideOutOfTheLog)}
            />
          ))}
        </ul>
        {found.length > SHOWN && (
          <p className="mt-2 text-sm text-steel">{phrases.andMoreUseFind(found.length - SHOWN)}</p>
        )}
      </section>
      <AsideRows
        aside={aside}
        onTake={(one) => attempt(ledger.takeBack([one]), phrases.putBackIfThisVersion)}
      />
    </div>
  )
}

/**
 * The log as it is stored, with nothing worked out from it: whatever an entry says, this page opens, and the entry can
 * be taken out or set aside from here.
 */
export function SafePage({ why }: { readonly why?: string }) {
  const state = useSyncExternalStore(ledger.subscribe, ledger.state)
  useEffect(() => {
    if (ledger.state().status === 'opening') ledger.open()
    document.title = phrases.safePageJoltMile
  }, [])
  const shut = notOpen(state, ledger)
  if (shut !== undefined) return shut
  return (
    <main className="mx-auto max-w-[60rem] p-9 max-md:p-4">
      <h1 className="text-3xl font-medium">{phrases.yourLogWithNothing}</h1>
      <p className="mt-3 max-w-[44rem] text-steel">
        {phrases.saveABackupFirst(why ?? phrases.useThisPageWhen)}
      </p>
      {state.status === 'open' ? (
        <OpenedSafely stored={state.stored} />
      ) : (
        <p role="status" className="mt-6">
          {phrases.openingTheLog}
        </p>
      )}
    </main>
  )
}

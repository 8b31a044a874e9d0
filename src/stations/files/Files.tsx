import { lazy, Suspense, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { saveBackup } from '../../session/backup.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useSafeKeeping } from '../../session/safe-keeping.ts'
import { saveText } from '../../ui/save-file.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button, buttonLook } from '../../ui/parts/Button.tsx'
import { TextField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { OPENS } from '../../words/places.ts'
import { sayBackup } from '../../words/backup.ts'
import { sayCount } from '../../words/numbers.ts'
import { sayUnsaved } from '../../words/unsaved.ts'
import { useOnce } from '../../ui/use-once.ts'
import { makeDemoWorld } from '../../workers/demo-world.ts'
import { Aside } from './Aside.tsx'
import { BringIn } from './BringIn.tsx'
import { KeptSafe } from './KeptSafe.tsx'
import { DataOut } from './out/DataOut.tsx'
import { RecordOut } from './out/RecordOut.tsx'
import { WhoWrites } from './WhoWrites.tsx'
import { words } from '../../words/stations/files/files.ts'

const NotesIn = lazy(() => import('./notes/NotesIn.tsx'))

/** Saves a backup, but says so only after it was read again and everything was in it. */
function useBackupOut() {
  const { ledger, world, pictures } = useOpenLog()
  const { aside, backupSaved } = useSafeKeeping()
  const [said, setSaid] = useState('')
  const [save, busy] = useOnce(async () => {
    const state = ledger.state()
    if (state.status !== 'open') return
    const { stored } = state
    const { status } = await saveBackup(
      world,
      async () => ({ stored, aside, pictures: await pictures.all() }),
      saveText,
      (outcome) => setSaid(sayBackup(outcome)),
    )
    if (status === 'saved') await backupSaved(stored)
  })
  return { said, save, busy }
}

function WipeSheet({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const { ledger, entries } = useOpenLog()
  const [typed, setTyped] = useState('')
  const [fault, setFault] = useState<string>()
  const [clear, busy] = useOnce(async () => {
    if (typed.trim().toLowerCase() !== 'wipe') return setFault(words.typeTheWordWipe)
    await ledger.wipe()
    setTyped('')
    onClose()
  })
  return (
    <Sheet
      open={open}
      onClose={onClose}
      title={words.wipeThisLog}
      note={words.willBeDeletedFromThisBrowser(sayCount(entries.length, 'entry'))}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          clear()
        }}
        className="flex flex-col gap-4"
      >
        <TextField
          label={words.typeWipeToGo}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          fault={fault}
        />
        <Button look="harm" type="submit" disabled={busy} className="self-start">
          {words.wipeTheLog}
        </Button>
      </form>
    </Sheet>
  )
}

function NotesSection() {
  return (
    <Section title={words.notesFromASpreadsheet} note={words.readingsDistancesPartsWashes}>
      <Link to={OPENS.notesIn} className={buttonLook('plain')}>
        {words.bringInNotes}
      </Link>
    </Section>
  )
}

function DemoSection() {
  const { world, ledger, now } = useOpenLog()
  const [restart, busy] = useOnce(async () => {
    const { entries, pictures } = await makeDemoWorld(now)
    await ledger.wipe()
    await ledger.merge(entries, [], pictures)
  })
  return (
    <Section title={words.theDemoGarage} note={words.fiveMadeUpBikes}>
      {world === 'demo' ? (
        <div className="flex flex-wrap gap-3">
          <Button disabled={busy} onClick={restart}>
            {busy ? words.writingIt : words.restartTheDemo}
          </Button>
          <a href="/" className="inline-flex min-h-11 items-center underline underline-offset-4">
            {words.leaveTheDemo}
          </a>
        </div>
      ) : (
        <a href="/demo/" className="inline-flex min-h-11 items-center underline underline-offset-4">
          {words.openTheDemo}
        </a>
      )}
    </Section>
  )
}

/** The whole log out as one file, and files of it in. */
function Log() {
  const { entries, now } = useOpenLog()
  const { lastBackup, unsaved } = useSafeKeeping()
  const { said, save, busy } = useBackupOut()
  const [wiping, setWiping] = useState(false)
  return (
    <div className="flex flex-col gap-8">
      <Answer
        detail={words.aBackupIsOne(sayUnsaved(unsaved, lastBackup, now))}
        action={
          <Button look="next" disabled={busy} onClick={save}>
            {words.saveABackup}
          </Button>
        }
      >
        {words.yourLog(sayCount(entries.length, 'entry'))}
      </Answer>
      <p role="status" className="empty:hidden">
        {said}
      </p>
      <div className="grid grid-cols-2 gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <BringIn />
        <NotesSection />
        <RecordOut />
        <DataOut />
        <KeptSafe />
        <WhoWrites />
        <Aside />
        <DemoSection />
        <Section title={words.wipe} note={words.emptiesThisLogInThisBrowser}>
          <Button look="harm" disabled={entries.length === 0} onClick={() => setWiping(true)}>
            {words.wipeTheLog}
          </Button>
        </Section>
      </div>
      <WipeSheet open={wiping} onClose={() => setWiping(false)} />
    </div>
  )
}

/** Files: what comes into the log and goes out of it. */
export default function Files() {
  const [search] = useSearchParams()
  if (search.has('notes'))
    return (
      <Suspense fallback={<Answer>{words.opening}</Answer>}>
        <NotesIn />
      </Suspense>
    )
  return <Log />
}

import { useRef, useState } from 'react'
import { BackupFileError, readBackup } from '../../formats/read-backup.ts'
import { writeBackup } from '../../formats/write-backup.ts'
import { useOpenLog } from '../../store/log-context.ts'
import { mergeIn, wipe } from '../../store/write.ts'
import { saveText } from '../../ui/save-file.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { TextField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { sayCount } from '../../ui/words/numbers.ts'
import { makeDemoWorld } from '../../workers/demo-world.ts'

type Said = { readonly text: string; readonly fault?: true }

function useBackupIn(): { readonly said: Said | undefined; readonly take: (file: File) => Promise<void> } {
  const { database } = useOpenLog()
  const [said, setSaid] = useState<Said>()
  const take = async (file: File) => {
    setSaid({ text: `Reading ${file.name}…` })
    try {
      const merge = await mergeIn(database, readBackup(await file.text()))
      if (merge.differing.length > 0)
        setSaid({
          text: `${sayCount(merge.differing.length, 'entry', 'entries')} in ${file.name} differ from the same entries here, so the file was edited by hand. Nothing was changed.`,
          fault: true,
        })
      else
        setSaid({
          text: `${sayCount(merge.added.length, 'entry', 'entries')} came in new from ${file.name}; ${sayCount(merge.known, 'was', 'were')} here already.`,
        })
    } catch (error) {
      setSaid({
        text: `${error instanceof BackupFileError ? error.message : 'The browser could not read or store the file; try again.'} Nothing was changed.`,
        fault: true,
      })
    }
  }
  return { said, take }
}

function WipeSheet({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const { database, entries } = useOpenLog()
  const [typed, setTyped] = useState('')
  const [fault, setFault] = useState<string>()
  const clear = async () => {
    if (typed.trim().toLowerCase() !== 'wipe') return setFault('Type the word wipe to go on.')
    await wipe(database)
    setTyped('')
    onClose()
  }
  return (
    <Sheet
      open={open}
      onClose={onClose}
      title="Wipe this log?"
      note={`${sayCount(entries.length, 'entry', 'entries')} will be gone from this browser. This cannot be undone; a backup brings them back.`}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          void clear()
        }}
        className="flex flex-col gap-4"
      >
        <TextField
          label="Type wipe to go on"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          fault={fault}
        />
        <Button look="harm" type="submit" className="self-start">
          Wipe the log
        </Button>
      </form>
    </Sheet>
  )
}

function DemoSection() {
  const { world, database, now } = useOpenLog()
  const [busy, setBusy] = useState(false)
  const afresh = async () => {
    setBusy(true)
    const entries = await makeDemoWorld(now)
    await wipe(database)
    await mergeIn(database, entries)
    setBusy(false)
  }
  return (
    <Section
      title="The demo garage"
      note="Five made-up bikes of a made-up town, two years of them. It lives in a database of its own and never touches your records."
    >
      {world === 'demo' ? (
        <div className="flex flex-wrap gap-3">
          <Button disabled={busy} onClick={() => void afresh()}>
            {busy ? 'Writing it…' : 'Start the demo afresh'}
          </Button>
          <a href="/" className="inline-flex min-h-11 items-center underline underline-offset-4">
            Leave the demo
          </a>
        </div>
      ) : (
        <a href="/demo/" className="inline-flex min-h-11 items-center underline underline-offset-4">
          Open the demo garage
        </a>
      )}
    </Section>
  )
}

/** Files: the whole log out as one file, and files of it in. */
export default function Files() {
  const { entries, now, world } = useOpenLog()
  const { said, take } = useBackupIn()
  const [wiping, setWiping] = useState(false)
  const picker = useRef<HTMLInputElement>(null)
  const save = () =>
    saveText(
      `jolt-mile-${world === 'demo' ? 'demo-' : ''}${now.slice(0, 10)}.json`,
      writeBackup(entries, now),
    )
  return (
    <div className="flex flex-col gap-8">
      <Answer
        detail="It is kept in this browser alone. A backup is one open JSON file: keep it elsewhere, or carry it to another device and merge the two."
        action={
          <Button look="next" onClick={save}>
            Save a backup
          </Button>
        }
      >
        The log holds {sayCount(entries.length, 'entry', 'entries')}.
      </Answer>
      <div className="grid grid-cols-2 gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <Section
          title="Bring in a backup"
          note="What it holds and this log does not is added. Nothing here is changed or taken away."
        >
          <Button onClick={() => picker.current?.click()}>Choose a backup</Button>
          <input
            ref={picker}
            type="file"
            accept=".json,application/json"
            className="sr-only"
            tabIndex={-1}
            aria-label="Backup file"
            onChange={(event) => {
              const file = event.target.files?.[0]
              if (file) void take(file)
              event.target.value = ''
            }}
          />
          <p role="status" className={`mt-3 ${said?.fault ? 'font-medium text-rust' : ''}`}>
            {said?.text}
          </p>
        </Section>
        <DemoSection />
        <Section title="Wipe" note="Empties this log in this browser. Save a backup first.">
          <Button look="harm" disabled={entries.length === 0} onClick={() => setWiping(true)}>
            Wipe the log
          </Button>
        </Section>
      </div>
      <WipeSheet open={wiping} onClose={() => setWiping(false)} />
    </div>
  )
}

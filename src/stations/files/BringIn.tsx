import { useRef } from 'react'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { sayCount } from '../../words/numbers.ts'
import { useOnce } from '../../ui/use-once.ts'
import { useBackupIn } from './use-backup-in.ts'

/** Files of the log in. */
export function BringIn() {
  const { restore } = useOpenLog()
  const { state, take, cancel, done } = useBackupIn()
  const picker = useRef<HTMLInputElement>(null)
  const { said, fault, progress, undoneHere } = state
  const [bringBack, busy] = useOnce(async () => {
    if (undoneHere && (await restore(undoneHere))) done()
  })
  return (
    <Section
      title="Bring in a backup"
      note="Or one bike’s record. Adds what the file holds and this log does not. Nothing here is changed or removed."
    >
      <Button disabled={progress !== undefined} onClick={() => picker.current?.click()}>
        Choose a backup
      </Button>
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
      <p role="status" className={`mt-3 [overflow-wrap:anywhere] ${fault ? 'font-medium text-rust' : ''}`}>
        {said}
      </p>
      {progress !== undefined && (
        <div className="mt-2 flex items-center gap-4">
          <progress
            className="h-2 flex-1 accent-petrol"
            max={1}
            value={progress}
            aria-label="Reading the backup"
          />
          <Button onClick={cancel}>Cancel</Button>
        </div>
      )}
      {undoneHere && (
        <Button className="mt-2" disabled={busy} onClick={bringBack}>
          Restore {sayCount(undoneHere.length, 'entry', 'entries')}
        </Button>
      )}
    </Section>
  )
}

import { useRef } from 'react'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { sayCount } from '../../words/numbers.ts'
import { useOnce } from '../../ui/use-once.ts'
import { useBackupIn } from './use-backup-in.ts'
import { words } from '../../words/stations/files/bring-in.ts'

/** Files of the log in. */
export function BringIn() {
  const { restore } = useOpenLog()
  const { state, take, cancel, done, agree, leave, takeOut } = useBackupIn()
  const picker = useRef<HTMLInputElement>(null)
  const { said, fault, progress, undoneHere, asked, step } = state
  const [bringIn, bringing] = useOnce(agree)
  const [takeAllOut, takingOut] = useOnce(takeOut)
  const [bringBack, busy] = useOnce(async () => {
    if (undoneHere && (await restore(undoneHere))) done()
  })
  return (
    <Section title={words.bringInABackup} note={words.orOneBikesRecord}>
      <Button disabled={progress !== undefined} onClick={() => picker.current?.click()}>
        {words.chooseABackup}
      </Button>
      <input
        ref={picker}
        type="file"
        accept=".json,application/json"
        className="sr-only"
        tabIndex={-1}
        aria-label={words.backupFile}
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
            aria-label={words.readingTheBackup}
          />
          <Button onClick={cancel}>{words.cancel}</Button>
        </div>
      )}
      {asked && (
        <div className="mt-2 flex flex-wrap gap-3">
          <Button look="firm" disabled={bringing} onClick={leave}>
            {words.leaveIt}
          </Button>
          <Button disabled={bringing} onClick={bringIn}>
            {words.bringItInAllTheSame}
          </Button>
        </div>
      )}
      {step && (
        <Button className="mt-2" disabled={takingOut} onClick={takeAllOut}>
          {words.takeItAllOut}
        </Button>
      )}
      {undoneHere && (
        <Button className="mt-2" disabled={busy} onClick={bringBack}>
          {words.restore(sayCount(undoneHere.length, 'entry'))}
        </Button>
      )}
    </Section>
  )
}

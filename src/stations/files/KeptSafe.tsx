import { lightFormat } from 'date-fns'
import { useSafeKeeping, type FolderState, type StoragePromise } from '../../session/safe-keeping.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { sayCount } from '../../words/numbers.ts'
import { useOnce } from '../../ui/use-once.ts'

const PROMISED: Readonly<Record<StoragePromise, string>> = {
  given: 'The browser has promised to keep the log, even when it runs out of room.',
  refused: 'The browser has not promised to keep the log. It may delete it when it runs out of room.',
  unknown: 'This browser does not say whether it keeps the log when it runs out of room.',
}

function sayFolder(folder: FolderState): string {
  const name = folder.name === '' ? 'The folder' : folder.name
  const others =
    folder.broughtIn > 0
      ? ` ${sayCount(folder.broughtIn, 'entry', 'entries')} came in from other devices.`
      : ''
  switch (folder.status) {
    case 'asking':
      return `The browser needs your permission again before it writes into ${name}.`
    case 'working':
      return `Writing into ${name}…`
    case 'kept':
      return `${name} is up to date, last written at ${folder.at === undefined ? '…' : lightFormat(new Date(folder.at), 'HH:mm')}.${others}`
    case 'failed':
      return `${name} could not be brought up to date: ${folder.fault ?? 'no reason was given'}.`
  }
}

function Folder() {
  const { folder } = useSafeKeeping()
  const [choose, choosing] = useOnce(async () => folder?.choose())
  if (!folder)
    return (
      <p className="mt-3 text-sm text-steel">
        This browser cannot keep a file up to date by itself. Save a backup now and then.
      </p>
    )
  const { state } = folder
  return (
    <div className="mt-4 border-t border-hairline pt-3">
      <h3 className="text-[0.95rem] font-semibold">A folder kept up to date</h3>
      <p role="status" className="mt-1 text-[0.95rem] text-steel">
        {state
          ? sayFolder(state)
          : 'Choose a folder once: after every change a backup is written there. In a folder that your devices share, each writes its own file and takes in the others’.'}
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        {state?.status === 'asking' && <Button onClick={() => void folder.resume()}>Allow it</Button>}
        <Button disabled={choosing} onClick={choose}>
          {state ? 'Choose another folder' : 'Choose a folder'}
        </Button>
        {state && (
          <Button look="link" onClick={() => void folder.leave()}>
            Stop using it
          </Button>
        )}
      </div>
    </div>
  )
}

/** What the browser and the owner do so that the log is not lost. */
export function KeptSafe() {
  const { promise, askForPromise } = useSafeKeeping()
  const [ask, asking] = useOnce(askForPromise)
  return (
    <Section title="Kept safe" note="The log lives in this browser, on this device, and nowhere else.">
      <p className="text-[0.95rem]">{PROMISED[promise]}</p>
      {promise === 'refused' && (
        <Button className="mt-2" disabled={asking} onClick={ask}>
          Ask the browser to keep it
        </Button>
      )}
      <Folder />
    </Section>
  )
}

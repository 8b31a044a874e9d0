import { lightFormat } from 'date-fns'
import { abilities, type Abilities } from '../../session/abilities.ts'
import { useSafeKeeping, type FolderState, type StoragePromise } from '../../session/safe-keeping.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { sayCount } from '../../words/numbers.ts'
import { sayPassed } from '../../words/passed-over.ts'
import { useOnce } from '../../ui/use-once.ts'
import { words } from '../../words/stations/files/kept-safe.ts'

const PROMISED: Readonly<Record<StoragePromise, string>> = {
  given: words.theBrowserHasPromised,
  refused: words.theBrowserHasNot,
  unknown: words.thisBrowserDoesNot,
}

/** What it means that a browser holds these back. */
const LACKING: readonly (readonly [keyof Abilities, string])[] = [
  ['offline', words.nothingIsKeptOffline],
  ['promise', words.itCannotBeAsked],
  ['folder', words.noFolderIsKept],
  ['secondCopy', words.itHasNoSecondCopy],
  ['awake', words.theScreenMayGoDark],
]

/** What this address cannot do, and what to do about it. */
function HeldBack() {
  return (
    <div className="text-[0.95rem]">
      <p className="font-medium">{words.thisAddressIsNeither}</p>
      <ul className="mt-2 list-disc pl-5">
        {LACKING.filter(([means]) => !abilities[means]).map(([means, said]) => (
          <li key={means}>{said}</li>
        ))}
      </ul>
      <p className="mt-2">{words.openTheAppByHttps}</p>
    </div>
  )
}

function sayFolder(folder: FolderState): string {
  const name = folder.name === '' ? words.theFolder : folder.name
  const others = folder.broughtIn > 0 ? words.cameInFromOther(sayCount(folder.broughtIn, 'entry')) : ''
  switch (folder.status) {
    case 'asking':
      return words.theBrowserNeedsYour(name)
    case 'working':
      return words.writingInto(name)
    case 'kept':
      return words.isUpToDate(
        name,
        folder.at === undefined ? '…' : lightFormat(new Date(folder.at), 'HH:mm'),
        others,
      )
    case 'failed':
      return words.couldNotBeBrought(name, folder.fault ?? words.noReasonWasGiven)
  }
}

function Folder() {
  const { folder } = useSafeKeeping()
  const [choose, choosing] = useOnce(async () => folder?.choose())
  if (!folder) return <p className="mt-3 text-sm text-steel">{words.thisBrowserCannotKeep}</p>
  const { state } = folder
  return (
    <div className="mt-4 border-t border-hairline pt-3">
      <h3 className="text-[0.95rem] font-semibold">{words.aFolderKeptUp}</h3>
      <p role="status" className="mt-1 text-[0.95rem] text-steel">
        {state ? sayFolder(state) : words.chooseAFolderOnce}
      </p>
      {state && state.passed.length > 0 && (
        <ul className="mt-1 list-disc pl-5 text-[0.95rem] [overflow-wrap:anywhere]">
          {state.passed.map((one) => (
            <li key={one.name}>{sayPassed(one)}</li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex flex-wrap gap-3">
        {state?.status === 'asking' && <Button onClick={() => void folder.resume()}>{words.allowIt}</Button>}
        <Button disabled={choosing} onClick={choose}>
          {state ? words.chooseAnotherFolder : words.chooseAFolder}
        </Button>
        {state && (
          <Button look="link" onClick={() => void folder.leave()}>
            {words.stopUsingIt}
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
    <Section title={words.keptSafe} note={words.theLogLivesInThisBrowser}>
      {abilities.isSecure ? <p className="text-[0.95rem]">{PROMISED[promise]}</p> : <HeldBack />}
      {promise === 'refused' && abilities.promise && (
        <Button className="mt-2" disabled={asking} onClick={ask}>
          {words.askTheBrowserToKeep}
        </Button>
      )}
      {abilities.isSecure && <Folder />}
    </Section>
  )
}

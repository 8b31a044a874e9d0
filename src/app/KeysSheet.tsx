import { Sheet } from '../ui/parts/Sheet.tsx'
import { STATION_LIST } from '../words/places.ts'
import { words } from '../words/app/keys-sheet.ts'

const OTHER_KEYS: readonly (readonly [string, string])[] = [
  ['/', words.findAnythingDoAnything],
  ['b', words.switchBike],
  ['n', words.newEntry],
  ['u', words.undoTheLastStep],
  [words.shiftU, words.redoIt],
  ['?', words.showTheseKeys],
]

/** The keys, and what they do. */
export default function KeysSheet({ onClose }: { readonly onClose: () => void }) {
  return (
    <Sheet open onClose={onClose} title={words.keys} note={words.theyDoNothingWhile}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
        {[...STATION_LIST.map(({ key, name }) => [`g ${key}`, words.to(name)] as const), ...OTHER_KEYS].map(
          ([keys, does]) => (
            <div key={keys} className="contents">
              <dt>
                <kbd className="rounded-[3px] border border-steel px-2 py-0.5 font-mono text-sm">{keys}</kbd>
              </dt>
              <dd className="m-0">{does}</dd>
            </div>
          ),
        )}
      </dl>
    </Sheet>
  )
}

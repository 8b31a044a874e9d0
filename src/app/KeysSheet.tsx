import { Sheet } from '../ui/parts/Sheet.tsx'
import { STATION_LIST } from '../words/places.ts'

const OTHER_KEYS: readonly (readonly [string, string])[] = [
  ['/', 'find anything, do anything (Ctrl k too)'],
  ['b', 'switch bike'],
  ['n', 'new entry'],
  ['u', 'undo the last step'],
  ['Shift u', 'redo it'],
  ['?', 'show these keys'],
]

/** The keys, and what they do. */
export default function KeysSheet({ onClose }: { readonly onClose: () => void }) {
  return (
    <Sheet open onClose={onClose} title="Keys" note="They do nothing while you type.">
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
        {[...STATION_LIST.map(({ key, name }) => [`g ${key}`, `to ${name}`] as const), ...OTHER_KEYS].map(
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

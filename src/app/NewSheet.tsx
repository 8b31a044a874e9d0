import { useNavigate } from 'react-router'
import { NEW_ENTRIES } from '../words/entries/index.ts'
import { Sheet } from '../ui/parts/Sheet.tsx'
import { words } from '../words/app/new-sheet.ts'

/** What can be written into the log, each where it is written. */
export default function NewSheet({ onClose }: { readonly onClose: () => void }) {
  const navigate = useNavigate()
  return (
    <Sheet open onClose={onClose} title={words.newEntry}>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {NEW_ENTRIES.map(({ label, to }) => (
          <li key={to}>
            <button
              type="button"
              className="min-h-12 w-full text-left hover:text-petrol"
              onClick={() => {
                onClose()
                void navigate(to)
              }}
            >
              {label}
            </button>
          </li>
        ))}
      </ul>
    </Sheet>
  )
}

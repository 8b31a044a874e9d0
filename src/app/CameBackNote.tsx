import { STATIONS } from '../words/places.ts'
import { useState } from 'react'
import { Link } from 'react-router'
import { Button } from '../ui/parts/Button.tsx'
import { sayCount } from '../words/numbers.ts'
import { ledger } from './world.ts'
import { words } from '../words/app/came-back-note.ts'

/** That the browser had lost the log, and where it came from again. It stays until it is read. */
export function CameBackNote() {
  const [isRead, setRead] = useState(false)
  const count = ledger.cameBack()
  if (count === 0 || isRead) return null
  return (
    <div role="status" className="no-print border-b border-hairline bg-raised px-9 py-2 text-sm max-md:px-4">
      <p className="mx-auto flex max-w-[80rem] flex-wrap items-center gap-x-4">
        {words.theBrowserHadLost(sayCount(count, 'entry'))}
        <Link to={STATIONS.files.path} className="underline underline-offset-4">
          {words.saveABackup}
        </Link>
        <Button look="link" onClick={() => setRead(true)}>
          {words.hideThis}
        </Button>
      </p>
    </div>
  )
}

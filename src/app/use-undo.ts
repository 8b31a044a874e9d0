import { useCallback } from 'react'
import { lastAct } from '../core/log/supersede.ts'
import type { Entry } from '../core/log/entries.ts'
import { useOpenLog } from '../store/log-context.ts'
import { useNotice } from '../ui/parts/notices.tsx'
import { sayCount } from '../ui/words/numbers.ts'

/** An action in a few words, for the notice that it was taken back. */
function sayAct(entries: readonly Entry[]): string {
  const kinds = new Set(entries.map((entry) => entry.kind))
  const [only] = kinds
  if (kinds.size > 1 || only === undefined) return sayCount(entries.length, 'entry', 'entries')
  switch (only) {
    case 'ride':
      return sayCount(entries.length, 'ride')
    case 'reading':
      return sayCount(entries.length, 'reading')
    case 'reading-use':
      return 'a reading left out or put back'
    case 'look':
      return sayCount(entries.length, 'look')
    case 'wash':
      return 'a wash'
    case 'limit':
      return 'the choice of limit'
    case 'plan':
      return 'a plan'
    case 'event':
      return sayCount(entries.length, 'event')
    case 'bike':
      return 'a bike'
    case 'condition':
      return 'what rides were ridden in'
    case 'odometer':
      return 'a reading of the bike’s computer'
    case 'tool':
      return 'a tool'
    case 'zeroing':
      return 'a zeroing'
    case 'part':
    case 'fit':
    case 'remove':
    case 'withdraw':
      return sayCount(entries.length, 'entry', 'entries')
  }
}

/** Takes back the last action by an entry of its own, and offers to put it in again. */
export function useUndo(): () => void {
  const { entries, withdraw } = useOpenLog()
  const tell = useNotice()
  return useCallback(() => {
    const act = lastAct(entries)
    if (act.length === 0) {
      tell('There is nothing to take back.')
      return
    }
    void withdraw(act.map((entry) => entry.id)).then((written) => {
      const [taken] = written ?? []
      if (taken)
        tell(`Taken back: ${sayAct(act)}.`, { label: 'Put back', run: () => void withdraw([taken.id]) })
    })
  }, [entries, withdraw, tell])
}

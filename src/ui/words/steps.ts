import type { Entry } from '../../core/log/entries.ts'
import { sayCount } from './numbers.ts'

/** What one step wrote, in a few words, for the notice that it was undone. */
export function sayStep(entries: readonly Entry[]): string {
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
      return 'the conditions of rides'
    case 'odometer':
      return 'a reading of the bike’s computer'
    case 'tool':
      return 'a tool'
    case 'zeroing':
      return 'a zeroing'
    case 'withdraw':
      return 'taking entries out or restoring them'
    case 'part':
    case 'fit':
    case 'remove':
      return sayCount(entries.length, 'entry', 'entries')
  }
}

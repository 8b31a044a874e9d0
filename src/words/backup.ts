import { sayCount } from './numbers.ts'

/** How saving a backup stands, in a sentence. */
export function sayBackup(
  outcome:
    | { readonly status: 'checking'; readonly share: number }
    | { readonly status: 'saved'; readonly count: number }
    | { readonly status: 'partial'; readonly difference: string }
    | { readonly status: 'failed' },
): string {
  switch (outcome.status) {
    case 'checking':
      return outcome.share === 0
        ? 'Writing the backup and reading it again…'
        : `Reading the backup again: ${Math.round(100 * outcome.share)} %`
    case 'saved':
      return `Saved: all ${sayCount(outcome.count, 'entry')} can be read back from it.`
    case 'partial':
      return `A file was written, but it is not a whole backup: ${outcome.difference}. Keep this page open and try again.`
    case 'failed':
      return 'The backup could not be written. Try again.'
  }
}

import { groupedNumber } from './grouped-number.ts'
import { sayCount } from './numbers.ts'

/** How a data package stands, in a sentence. */
export function sayPackage(
  state:
    | { readonly at: 'waiting' }
    | { readonly at: 'making'; readonly share: number }
    | { readonly at: 'saved'; readonly bytes: number }
    | { readonly at: 'failed' },
): string {
  switch (state.at) {
    case 'waiting':
      return 'Working out the forecasts that go into it…'
    case 'making':
      return `Writing the tables: ${Math.round(100 * state.share)}\u00a0%`
    case 'saved':
      return `Saved: ${groupedNumber(Math.max(1, state.bytes / 1000), 0)}\u00a0kB.`
    case 'failed':
      return 'The package could not be made. Try again; save a backup meanwhile.'
  }
}

/** How saving a record stands, in a sentence. */
export function sayRecord(
  name: string,
  outcome:
    | { readonly status: 'checking'; readonly share: number }
    | { readonly status: 'saved'; readonly count: number }
    | { readonly status: 'partial'; readonly difference: string }
    | { readonly status: 'failed' },
): string {
  switch (outcome.status) {
    case 'checking':
      return `Writing ${name} and reading it again…`
    case 'saved':
      return `Saved: ${sayCount(outcome.count, 'entry')} of ${name}. Whoever gets the file brings it in on Files, as a backup.`
    case 'partial':
      return `A file was written, but not all of it can be read back: ${outcome.difference}. Try again.`
    case 'failed':
      return 'The record could not be written. Try again.'
  }
}

import type * as Schema from './entry-schema.ts'

export type EntryChecks = Pick<typeof Schema, 'checkEntry' | 'faultOfDraft'>

/**
 * The schema of entries, fetched when it is first needed: nothing is drawn with it, and a page that only shows the log
 * opens sooner without it. Whoever writes asks for it before the transaction, which cannot wait for a file.
 */
export const entryChecks = (): Promise<EntryChecks> => import('./entry-schema.ts')

import { useLiveQuery } from 'dexie-react-hooks'
import type { AsideEntry } from '../core/log/aside.ts'
import type { LogDatabase } from './database.ts'
import { allAside } from './merge-in.ts'

const NONE: readonly AsideEntry[] = []

/** Everything kept beside the log, kept up to date. */
export const useAside = (database: LogDatabase): readonly AsideEntry[] =>
  useLiveQuery(() => allAside(database), [database], NONE)

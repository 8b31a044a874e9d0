import type { Entry } from '../core/log/entries.ts'

/** An entry and its place in the order of arrival on this device. */
export type StoredEntry = Entry & { seq: number }

/** An entry as the log has it, wherever it is stored. */
export const withoutSeq = ({ seq, ...entry }: StoredEntry): Entry => entry

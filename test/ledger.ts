import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import type { World } from '../src/core/log/world.ts'
import { openDatabase } from '../src/store/database.ts'
import { openLedger, type Ledger, type LogState } from '../src/store/ledger.ts'

/** Waits until the log stands as is asked. */
export function until(ledger: Ledger, isSo: (state: LogState) => boolean): Promise<LogState> {
  return new Promise((resolve) => {
    const look = (): void => {
      if (!isSo(ledger.state())) return
      unsubscribe()
      resolve(ledger.state())
    }
    const unsubscribe = ledger.subscribe(look)
    look()
  })
}

/** A log opened as a page opens it. */
export async function openedLedger(world: World = 'own', clock?: () => number): Promise<Ledger> {
  const ledger = openLedger(openDatabase(world), clock)
  ledger.open()
  await until(ledger, ({ status }) => status === 'open')
  return ledger
}

/** Writes entries as one action. */
export const append = async (ledger: Ledger, drafts: readonly EntryDraft[]): Promise<readonly Entry[]> =>
  (await ledger.write(() => drafts)).written

/** What a log holds, as it is stored. */
export function storedIn(ledger: Ledger): readonly Entry[] {
  const state = ledger.state()
  return state.status === 'open' ? state.stored : []
}

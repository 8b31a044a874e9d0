import { configureStore } from '@reduxjs/toolkit'
import { render } from '@testing-library/react'
import { useMemo, useState, type ReactNode } from 'react'
import { Provider } from 'react-redux'
import { MemoryRouter } from 'react-router'
import { ENTRY_FORMAT } from '../src/core/log/entry.ts'
import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import { makeEntryId } from '../src/core/log/entry-id.ts'
import { replay } from '../src/core/log/replay.ts'
import { restoreDrafts } from '../src/core/log/steps.ts'
import { LogContext, type OpenLog } from '../src/session/log-context.ts'
import type { Ledger } from '../src/store/ledger.ts'
import { screenSlice } from '../src/ui/screen-state.ts'
import { written } from './log.ts'

interface Asked {
  readonly screen: ReactNode
  readonly now: string
  /** Where the reader is. */
  readonly at: string
}

/**
 * A log held in memory that grows as the screen writes to it, as the app's does; notices are left out.
 * @returns a look at its entries, in the order in which they were written
 */
export function liveLog(
  drafts: readonly EntryDraft[],
  { screen, now, at }: Asked,
): { readonly entries: () => readonly Entry[] } {
  let held: readonly Entry[] = written(drafts)
  let count = 0
  const inLog = (draft: EntryDraft): Entry => ({
    ...draft,
    format: ENTRY_FORMAT,
    id: makeEntryId(
      Date.parse(now) + ++count,
      0,
      Uint8Array.from({ length: 16 }, (_, i) => (count * 31 + i * 7) % 256),
    ),
  })
  const Live = () => {
    const [entries, setEntries] = useState(held)
    const add = (more: readonly Entry[]): Promise<readonly Entry[]> => {
      held = [...held, ...more]
      setEntries(held)
      return Promise.resolve(more)
    }
    const log = useMemo(
      (): OpenLog => ({
        world: 'own',
        ledger: undefined as unknown as Ledger,
        kept: { read: () => Promise.resolve(undefined), keep: () => Promise.resolve() },
        pictures: {
          read: () => Promise.resolve(undefined),
          keep: () => Promise.resolve('picture'),
          drop: () => Promise.resolve(),
          all: () => Promise.resolve([]),
        },
        entries,
        garage: replay(entries),
        now,
        record: (more) => add(more.map(inLog)),
        withdraw: (targets) => add([inLog({ kind: 'withdraw', at: now, targets: [...targets] })]),
        restore: (ids) => add(restoreDrafts(held, ids, now).map(inLog)),
        undo: () => Promise.resolve(),
        redo: () => Promise.resolve(),
      }),
      [entries],
    )
    return <LogContext value={log}>{screen}</LogContext>
  }
  const store = configureStore({ reducer: { screen: screenSlice.reducer } })
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[at]}>
        <Live />
      </MemoryRouter>
    </Provider>,
  )
  return { entries: () => held }
}
